import { useState } from 'react'
import { useLoaderData, type LoaderFunctionArgs } from 'react-router'
import { Leaf } from '../parts/Leaf.tsx'
import { pageFile } from './pageFile.ts'
import { getNamings } from '../api/client.ts'
import { readPlan } from '../plan/usePlanLines.ts'
import { weighedRound } from '../weigh-up/WeighUpRoute.tsx'
import { download, fileSlug } from '../parts/download.ts'
import { useMe } from '../stores/meStore.ts'
import { ClientPage } from './ClientPage.tsx'
import { LinkPanel } from './LinkPanel.tsx'
import { say } from '../language/say.ts'

export async function loader({ params }: LoaderFunctionArgs) {
  const [read, plan, namings] = await Promise.all([
    weighedRound(params.id!),
    readPlan().catch(() => []),
    getNamings().catch(() => []),
  ])
  return {
    ...read,
    namings: namings.filter((n) => n.roundId === read.round.id),
    plan: plan.filter((p) => p.paddockId === read.round.paddockId),
  }
}

const files = [
  { name: 'composition.csv', says: say('Shares with intervals, for a spreadsheet') },
  { name: 'hits.csv', says: say('Every hit in the order of the walk') },
  { name: 'stops.csv', says: say('Every stop: where, counted or skipped, what was measured') },
  { name: 'stops.gpx', says: say('Stops and route, for a hand-held receiver') },
  { name: 'darwin-core.zip', says: say('Finds as a Darwin Core archive, for a biological records centre') },
  { name: 'stops.geojson', says: say('Boundary, route and stops, for a map') },
]

/** What the client keeps: the pages on the right, what can be taken along on the left. */
export function Component() {
  const { round, weighed, plan, namings } = useLoaderData<typeof loader>()
  const mayLink = useMe((s) => s.account?.role === 'advisor')
  const [appendix, setAppendix] = useState(false)
  return (
    <Leaf
      names={{ left: say('Take along'), right: say('The pages') }}
      whole
      tip={
        weighed
          ? { label: say('Print the pages'), detail: say('A4 or Letter'), onPress: () => window.print() }
          : { label: say('Count the first stop'), to: `/rounds/${round.id}` }
      }
      nodes={[
        {
          id: 'counted',
          label: say('Counted'),
          detail: say('{{n}} stops', { n: round.stops.filter((s) => s.doneAt).length }),
        },
        {
          id: 'weighed',
          label: say('Weighed up'),
          ...(weighed
            ? { detail: say('{{richness}} plants', { richness: weighed.composition.diversity?.richness ?? 0 }) }
            : {}),
        },
      ]}
      left={
        <div className="no-print">
          <p className="text-ink-soft">
            {round.holding}, {round.paddock.name}
          </p>
          <h1 className="text-[1.65rem]">{say('Hand over')}</h1>
          <p className="mt-2 max-w-prose">
            {say(
              'The two pages are for the client. The files are for those who work on with the figures; they open in any spreadsheet or map program.',
            )}
          </p>
          <ul className="mt-4 max-w-xl">
            {files.map((f) => (
              <li key={f.name}>
                <a
                  href={`/api/rounds/${round.id}/files/${f.name}`}
                  download
                  className="flex min-h-16 items-center justify-between gap-4 border-b border-rule px-2 hover:bg-culm/8"
                >
                  <span>{f.says}</span>
                  <b className="whitespace-nowrap text-culm underline">{f.name}</b>
                </a>
              </li>
            ))}
          </ul>
          {weighed ? (
            <label className="mt-4 flex min-h-12 w-fit items-center gap-3">
              <input
                type="checkbox"
                checked={appendix}
                onChange={(e) => setAppendix(e.target.checked)}
                className="size-6 accent-culm"
              />
              {say('With an appendix for colleagues')}
            </label>
          ) : null}
          {weighed ? (
            <button
              type="button"
              onClick={() => window.print()}
              className="mt-5 min-h-12 rounded-xl bg-culm px-6 text-lg font-semibold text-on-culm"
            >
              {say('Print the pages')}
            </button>
          ) : null}
          {weighed ? (
            <button
              type="button"
              onClick={() => {
                const name = fileSlug(`${round.paddock.name} ${round.plannedOn}`)
                void pageFile(`${round.paddock.name}: ${round.title}`).then((html) =>
                  download(`${name}.html`, html, 'text/html'),
                )
              }}
              className="mt-5 ml-3 min-h-12 rounded-xl border-2 border-culm px-6 text-lg font-semibold text-culm"
            >
              {say('Save them as one file')}
            </button>
          ) : null}
          {weighed && mayLink ? <LinkPanel roundId={round.id} /> : null}
        </div>
      }
      right={
        weighed ? (
          <ClientPage round={round} weighed={weighed} plan={plan} namings={appendix ? namings : undefined} />
        ) : (
          <p>{say('Nothing is counted yet, so there is nothing to hand over.')}</p>
        )
      }
    />
  )
}
