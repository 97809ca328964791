import { useState } from 'react'
import type { PlanLine } from '@/core/records/planItem.ts'
import type { Determination, Round } from '@/core/records/round.ts'
import type { WeighUp } from '@/core/assess/weighUp.ts'
import { fresh, reads, serverReads } from '../../data/reads.ts'
import { download, fileSlug } from '../../parts/download.ts'
import { TwoPane } from '../../parts/TwoPane.tsx'
import { readPlan } from '../../entities/plan/usePlanLines.ts'
import { useMe } from '../../stores/meStore.ts'
import { weighed } from '../../entities/round/weighed.ts'
import { Empty } from '../../ui/Empty.tsx'
import { say } from '../../language/say.ts'
import { ClientPage } from './ClientPage.tsx'
import { Files, HandOverHead } from './Files.tsx'
import { LinkPanel } from './LinkPanel.tsx'
import { pageFile } from './pageFile.ts'
import { SignPanel } from './SignPanel.tsx'
import { useSigning } from './useSigning.ts'

interface Pages {
  round: Round
  weighed: WeighUp | undefined
  plan: PlanLine[]
  namings: Determination[]
  /** What could not be read: the pages are not whole without it. */
  missing: ('plan' | 'names' | 'stock')[]
}

/** All that stands on the pages of a round. */
export async function readPages(round: Round): Promise<Pages> {
  const [known, plan, namings] = await Promise.all([
    weighed(round),
    readPlan().catch(() => undefined),
    fresh(reads.namingsOf(round.id)).catch(() => undefined),
  ])
  return {
    round,
    weighed: known,
    namings: namings ?? [],
    plan: (plan ?? []).filter((p) => p.paddockId === round.paddockId),
    missing: [
      ...(plan ? [] : ['plan' as const]),
      ...(serverReads.getQueryData(reads.kept.queryKey) ? [] : ['stock' as const]),
      ...(namings ? [] : ['names' as const]),
    ],
  }
}

/** Said on the screen and on the paper: a page without its plan must not pass for a whole one. */
function NotWhole({ missing }: Pick<Pages, 'missing'>) {
  return (
    <p role="alert" className="mb-3 rounded-xl border-2 border-harm bg-harm-wash px-4 py-3 font-semibold text-harm">
      {missing.includes('plan') || missing.includes('stock')
        ? say('These pages are not whole: {{what}} could not be read. Do not hand them on; open them again.', {
            what: missing.includes('plan') ? say('what was planned') : say('what is known of stock and samples'),
          })
        : say('The appendix is not whole: the names written down could not be read. Open the pages again.')}
    </p>
  )
}

/** What the client keeps: the pages on the right, what can be taken along on the left. */
export function HandOverView({ round, weighed, plan, namings, missing }: Pages) {
  const mayLink = useMe((s) => s.account?.role === 'advisor')
  const [appendix, setAppendix] = useState(false)
  const title = `${round.paddock.name}: ${round.title}`
  const signing = useSigning({ round, weighed, plan, whole: missing.length === 0, appendix, title })
  const slug = fileSlug(`${round.paddock.name} ${round.plannedOn}`)
  return (
    <TwoPane
      names={{ left: say('Take along'), right: say('The pages') }}
      whole
      tip={
        weighed
          ? signing.signature
            ? { label: say('Print the pages'), detail: say('A4 or Letter'), onPress: () => window.print() }
            : { label: say('Sign the pages'), onPress: () => document.getElementById('sign')?.scrollIntoView() }
          : { label: say('Count the first stop'), to: `/rounds/${round.id}` }
      }
      nodes={[
        {
          id: 'counted',
          label: say('Counted'),
          detail: say('{{count}} stops', { count: round.stops.filter((s) => s.doneAt).length }),
        },
        {
          id: 'weighed',
          label: say('Weighed up'),
          ...(weighed
            ? { detail: say('{{count}} plants', { count: weighed.composition.diversity?.richness ?? 0 }) }
            : {}),
        },
      ]}
      left={
        <div className="no-print">
          <HandOverHead round={round} />
          {signing.state ? (
            <SignPanel
              holdingId={round.paddock.holdingId}
              name={slug}
              state={signing.state}
              signatures={signing.signatures}
              signature={signing.signature}
              onSign={signing.sign}
            />
          ) : null}
          <Files roundId={round.id} />
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
                void pageFile(title).then((html) => download(`${slug}.html`, html, 'text/html'))
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
          <>
            {missing.length > 0 ? <NotWhole missing={missing} /> : null}
            <ClientPage
              round={round}
              weighed={weighed}
              plan={plan}
              namings={appendix ? namings : undefined}
              signature={signing.signature}
            />
          </>
        ) : (
          <Empty to={`/rounds/${round.id}`} act={say('Count the first stop')}>
            {say('Nothing is counted yet, so there is nothing to hand over.')}
          </Empty>
        )
      }
    />
  )
}
