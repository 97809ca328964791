import { useLoaderData, type LoaderFunctionArgs } from 'react-router'
import { Leaf } from '../parts/Leaf.tsx'
import { weighedRound } from '../weigh-up/WeighUpRoute.tsx'
import { ClientPage } from './ClientPage.tsx'

export const loader = ({ params }: LoaderFunctionArgs) => weighedRound(params.id!)

const files = [
  { name: 'composition.csv', says: 'Shares with intervals, for a spreadsheet' },
  { name: 'hits.csv', says: 'Every hit in the order of the walk' },
  { name: 'stops.csv', says: 'Every stop: where, counted or skipped, what was measured' },
  { name: 'stops.geojson', says: 'Boundary, route and stops, for a map' },
]

/** What the client keeps: the page on the right, what can be taken along on the left. */
export function Component() {
  const { round, weighed } = useLoaderData<typeof loader>()
  return (
    <Leaf
      names={{ left: 'Take along', right: 'The page' }}
      tip={
        weighed
          ? { label: 'Print the page', detail: 'A4 or Letter', onPress: () => window.print() }
          : { label: 'Count the first stop', to: `/rounds/${round.id}` }
      }
      nodes={[
        { id: 'counted', label: 'Counted', detail: `${round.stops.filter((s) => s.doneAt).length} stops` },
        {
          id: 'weighed',
          label: 'Weighed up',
          ...(weighed ? { detail: `${weighed.composition.diversity?.richness ?? 0} plants` } : {}),
        },
      ]}
      left={
        <div className="no-print">
          <p className="text-ink-soft">
            {round.holding}, {round.paddock.name}
          </p>
          <h1 className="text-[1.65rem]">Hand over</h1>
          <p className="mt-2 max-w-prose">
            The page is for the client. The files are for those who work on with the figures; they open in any
            spreadsheet or map program.
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
                  <b className="text-culm underline">{f.name}</b>
                </a>
              </li>
            ))}
          </ul>
          {weighed ? (
            <button
              type="button"
              onClick={() => window.print()}
              className="mt-5 min-h-12 rounded-xl bg-culm px-6 text-lg font-semibold text-on-culm"
            >
              Print the page
            </button>
          ) : null}
        </div>
      }
      right={
        weighed ? (
          <ClientPage round={round} weighed={weighed} />
        ) : (
          <p>Nothing is counted yet, so there is nothing to hand over.</p>
        )
      }
    />
  )
}
