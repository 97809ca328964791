import { readers } from '@/core/formats/read/index.ts'
import type { Method } from '@/core/records/method.ts'
import { fileWords } from '@/text/fileWords.ts'
import { methodWords } from '@/text/methodWords.ts'
import { useLoaderData, useNavigate } from 'react-router'
import { FileButton } from '../../../parts/FileButton.tsx'
import { inputClass, Labelled } from '../../../parts/Labelled.tsx'
import { TwoPane } from '../../../parts/TwoPane.tsx'
import type { NextStep } from '../../../parts/StepRail.tsx'
import { readPlaces } from '../../../data/readPlaces.ts'
import { ColumnTable } from './ColumnTable.tsx'
import { ReadSays } from './ReadSays.tsx'
import { useImport } from './useImport.ts'
import { Empty } from '../../../ui/Empty.tsx'
import { say } from '../../../language/say.ts'

export const loader = () => readPlaces()

type BringIn = ReturnType<typeof useImport>

function AsWhat({ form, set, day, methods, method }: BringIn) {
  const { holdings, paddocks } = useLoaderData<typeof loader>()
  const holding = (id: string) => holdings.find((h) => h.id === id)?.name ?? ''
  return (
    <div className="mt-4 grid max-w-2xl gap-3 @md:grid-cols-2">
      <Labelled label={say('Paddock')}>
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
      <Labelled label={say('Counted by')}>
        {(id) => (
          <select
            id={id}
            value={method}
            onChange={(e) => set({ method: e.target.value as Method })}
            className={inputClass}
          >
            {methods.map((m) => (
              <option key={m} value={m}>
                {methodWords(m).name}
              </option>
            ))}
          </select>
        )}
      </Labelled>
      <Labelled label={say('Title')}>
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
      <Labelled label={say('Day it was counted')}>
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

const endings = ['.csv', '.tsv', '.txt', ...Object.values(readers).flatMap((r) => r.endings)].join(',')

const example = [
  ['stop', 'plant', 'hits', 'lat', 'lon'],
  ['1', 'Lolium perenne', '9', '45.6101', '-29.4097'],
  ['1', 'Trifolium repens', '4', '45.6101', '-29.4097'],
  ['2', 'Yorkshire fog', '11', '45.6103', '-29.4092'],
  ['2', 'bare', '2', '45.6103', '-29.4092'],
]

/** What a table may look like, while none is chosen. */
function ExampleTable() {
  const [head, ...rows] = example
  return (
    <section aria-labelledby="example" className="mt-4">
      <h2 id="example" className="text-xl">
        {say('A table may look like this')}
      </h2>
      <table className="mt-1 w-full font-mono text-sm">
        <thead>
          <tr>
            {head!.map((h) => (
              <th key={h} scope="col" className="border-b-2 border-rule py-1 text-left">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((r, i) => (
            <tr key={i}>
              {r.map((c, j) => (
                <td key={j} className="border-b border-rule/60 py-1">
                  {c}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-ink-soft">
        {say(
          'Other headings are understood or asked for, names in any language of the book are found, and what is misspelt is put before you with what was meant.',
        )}
      </p>
    </section>
  )
}

function FileHalf(props: BringIn) {
  const { opened, columns, setColumns, missing, problem, open } = props
  return (
    <>
      <h1 className="text-[1.65rem]">{say('Read a file of finds')}</h1>
      <p className="mt-2 max-w-prose">
        {say(
          'A table (CSV) with a row for each plant at each stop, a Darwin Core archive, or stops as GeoJSON, GPX or KML. It is only looked at: nothing is changed until you take it in.',
        )}
      </p>
      <div className="mt-3">
        <FileButton
          label={opened ? say('Choose another file') : say('Choose a file')}
          accept={endings}
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
            {opened.kind === 'table'
              ? say('{{n}} rows, {{n2}} columns', { n: opened.rows.length, n2: opened.headings.length })
              : opened.says}
            {opened.encoding === 'UTF-8'
              ? ''
              : say(', read as {{encoding}}: look whether the names are right', { encoding: opened.encoding })}
            {opened.kind === 'table' && opened.broken > 0
              ? say('; {{broken}} rows have too many or too few cells', { broken: opened.broken })
              : ''}
            .
          </p>
          {opened.kind === 'table' ? (
            <ColumnTable headings={opened.headings} rows={opened.rows} columns={columns} onChange={setColumns} />
          ) : null}
          {missing ? <p className="mt-2 font-semibold">{fileWords(missing)}</p> : <AsWhat {...props} />}
        </>
      ) : (
        <ExampleTable />
      )}
    </>
  )
}

/** Finds from elsewhere: the file on the left, what is understood of it on the right, and taken in only when told to. */
export function Component() {
  const bringIn = useImport(useLoaderData<typeof loader>())
  const navigate = useNavigate()
  const { opened, read, form, set, takeIn } = bringIn
  const counted = read?.round.stops.some((s) => s.doneAt) ?? false
  const ready = read && read.round.stops.length > 0
  const go = async () => {
    const id = await takeIn()
    if (id) void navigate(counted ? `/rounds/${id}/weigh-up` : `/rounds/${id}`)
  }
  const tip: NextStep = ready
    ? { label: say('Take it in'), detail: say('as a round of this paddock'), onPress: () => void go() }
    : { label: opened ? say('Say what the columns hold') : say('Choose a file') }
  return (
    <TwoPane
      names={{ left: say('The file'), right: say('What it says') }}
      tip={tip}
      nodes={opened ? [{ id: 'file', label: say('File'), detail: say('opened') }] : []}
      left={<FileHalf {...bringIn} />}
      right={
        <>
          <h2 className="text-[1.65rem]">{say('What it says')}</h2>
          {read ? (
            <ReadSays read={read} onGive={(name, plant) => set({ given: { ...form.given, [name]: plant } })} />
          ) : (
            <Empty>{say('Here stands what is understood of the file, and everything that is not.')}</Empty>
          )}
          {ready ? (
            <button
              type="button"
              onClick={() => void go()}
              className="mt-5 min-h-12 rounded-xl bg-culm px-6 text-lg font-semibold text-on-culm"
            >
              {say('Take it in')}
            </button>
          ) : null}
        </>
      }
    />
  )
}
