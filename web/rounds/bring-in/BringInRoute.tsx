import { useLoaderData, useNavigate } from 'react-router'
import { methodInfo, type Method } from '@/core/survey/methods.ts'
import { FileButton } from '../../parts/FileButton.tsx'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { Leaf } from '../../parts/Leaf.tsx'
import type { MidribTip } from '../../parts/Midrib.tsx'
import { readPlaces } from '../../places/readPlaces.ts'
import { ColumnTable } from './ColumnTable.tsx'
import { ReadSays } from './ReadSays.tsx'
import { useBringIn } from './useBringIn.ts'

export const loader = () => readPlaces()

type BringIn = ReturnType<typeof useBringIn>

function AsWhat({ form, set, day, methods, method }: BringIn) {
  const { holdings, paddocks } = useLoaderData<typeof loader>()
  const holding = (id: string) => holdings.find((h) => h.id === id)?.name ?? ''
  return (
    <div className="mt-4 grid max-w-2xl gap-3 sm:grid-cols-2">
      <Labelled label="Paddock">
        {(id) => (
          <select
            id={id}
            value={form.paddockId}
            onChange={(e) => set({ paddockId: e.target.value })}
            className={inputClass}
          >
            {paddocks.map((p) => (
              <option key={p.id} value={p.id}>
                {holding(p.holdingId)}, {p.name}
              </option>
            ))}
          </select>
        )}
      </Labelled>
      <Labelled label="Counted by">
        {(id) => (
          <select
            id={id}
            value={method}
            onChange={(e) => set({ method: e.target.value as Method })}
            className={inputClass}
          >
            {methods.map((m) => (
              <option key={m} value={m}>
                {methodInfo[m].name}
              </option>
            ))}
          </select>
        )}
      </Labelled>
      <Labelled label="Title">
        {(id) => (
          <input
            id={id}
            value={form.title}
            maxLength={200}
            onChange={(e) => set({ title: e.target.value })}
            className={inputClass}
          />
        )}
      </Labelled>
      <Labelled label="Day it was counted">
        {(id) => (
          <input
            id={id}
            type="date"
            value={day}
            onChange={(e) => set({ day: e.target.value })}
            className={inputClass}
          />
        )}
      </Labelled>
    </div>
  )
}

function FileHalf(props: BringIn) {
  const { opened, columns, setColumns, missing, problem, open } = props
  return (
    <>
      <h1 className="text-[1.65rem]">Read a file of finds</h1>
      <p className="mt-2 max-w-prose">
        A table (CSV) with a row for each plant at each stop, a Darwin Core archive, or stops as GeoJSON or GPX. It is
        only looked at: nothing is changed until you take it in.
      </p>
      <div className="mt-3">
        <FileButton
          label={opened ? 'Choose another file' : 'Choose a file'}
          accept=".csv,.tsv,.txt,.zip,.json,.geojson,.gpx"
          onFile={(f) => void open(f)}
        />
      </div>
      <p role="alert" className="mt-2 font-semibold text-harm">
        {problem}
      </p>
      {opened ? (
        <>
          <h2 className="mt-2 text-xl break-words">{opened.name}</h2>
          <p className="text-ink-soft">
            {opened.kind === 'table' ? `${opened.rows.length} rows, ${opened.headings.length} columns` : opened.says}
            {opened.encoding === 'UTF-8' ? '' : `, read as ${opened.encoding}: look whether the names are right`}
            {opened.kind === 'table' && opened.broken > 0
              ? `; ${opened.broken} rows have too many or too few cells`
              : ''}
            .
          </p>
          {opened.kind === 'table' ? (
            <ColumnTable headings={opened.headings} rows={opened.rows} columns={columns} onChange={setColumns} />
          ) : null}
          {missing ? <p className="mt-2 font-semibold">{missing}</p> : <AsWhat {...props} />}
        </>
      ) : null}
    </>
  )
}

/** Finds from elsewhere: the file on the left, what is understood of it on the right, and taken in only when told to. */
export function Component() {
  const bringIn = useBringIn(useLoaderData<typeof loader>())
  const navigate = useNavigate()
  const { opened, read, form, set, takeIn } = bringIn
  const counted = read?.round.stops.some((s) => s.doneAt) ?? false
  const ready = read && read.round.stops.length > 0
  const go = async () => {
    const id = await takeIn()
    if (id) void navigate(counted ? `/rounds/${id}/weigh-up` : `/rounds/${id}`)
  }
  const tip: MidribTip = ready
    ? { label: 'Take it in', detail: 'as a round of this paddock', onPress: () => void go() }
    : { label: opened ? 'Say what the columns hold' : 'Choose a file' }
  return (
    <Leaf
      names={{ left: 'The file', right: 'What it says' }}
      tip={tip}
      nodes={opened ? [{ id: 'file', label: 'File', detail: 'opened' }] : []}
      left={<FileHalf {...bringIn} />}
      right={
        <>
          <h2 className="text-[1.65rem]">What it says</h2>
          {read ? (
            <ReadSays read={read} onGive={(name, plant) => set({ given: { ...form.given, [name]: plant } })} />
          ) : (
            <p className="mt-2">Here stands what is understood of the file, and everything that is not.</p>
          )}
          {ready ? (
            <button
              type="button"
              onClick={() => void go()}
              className="mt-5 min-h-12 rounded-xl bg-culm px-6 text-lg font-semibold text-on-culm"
            >
              Take it in
            </button>
          ) : null}
        </>
      }
    />
  )
}
