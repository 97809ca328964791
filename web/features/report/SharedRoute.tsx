import { useLoaderData } from 'react-router'
import { ApiError, getShared, holdLink } from '../../api/client.ts'
import { ClientPage } from './ClientPage.tsx'
import { HatchDefs } from '../../parts/HatchDefs.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { reads, serverReads } from '../../data/reads.ts'
import { weigh } from '../../workers/weighingWorker.ts'
import { download, fileSlug } from '../../parts/download.ts'
import { momentWords } from '../../language/dates.ts'
import { say } from '../../language/say.ts'

/** The token stands behind the #, which no browser sends to a server and no server writes into a log. */
export async function loader() {
  holdLink(location.hash.slice(1))
  try {
    const [{ round, plan, kept, signed }] = await Promise.all([getShared(), useFlora.getState().load()])
    // A link asks for nothing else: what came with it is all there is.
    serverReads.setQueryDefaults(reads.kept.queryKey, { staleTime: Infinity })
    serverReads.setQueryData(reads.kept.queryKey, kept)
    return { round, plan, signed, weighed: await weigh(round) }
  } catch (error) {
    if (error instanceof ApiError && error.status === 401)
      throw new Error(say('This link has expired or was taken back. Ask your advisor for a new one.'), { cause: error })
    throw error
  }
}

/** What a client reads with a link: the pages of one round, to look at and to print, and nothing else. */
export function Component() {
  const { round, plan, weighed, signed } = useLoaderData<typeof loader>()
  return (
    <>
      <HatchDefs />
      <header className="no-print flex flex-wrap items-center gap-3 px-4 py-3">
        <h1 className="grow text-xl">{say('For {{client}}', { client: round.client || round.holding })}</h1>
        {signed ? (
          <button
            type="button"
            onClick={() => download(`${fileSlug(round.paddock.name)} ${signed.issue}.html`, signed.page, 'text/html')}
            className="min-h-12 rounded-xl border-2 border-culm px-5 font-semibold text-culm"
          >
            {say('Save the signed pages, issue {{issue}}', { issue: signed.issue })}
          </button>
        ) : null}
        {weighed ? (
          <button
            type="button"
            onClick={() => window.print()}
            className="min-h-12 rounded-xl bg-culm px-5 font-semibold text-on-culm"
          >
            {say('Print the pages')}
          </button>
        ) : null}
      </header>
      <main className="mx-auto max-w-4xl px-2 pb-10">
        {signed ? (
          <p className="my-3 px-4 text-lg">
            {say('Signed by {{signedBy}}, {{when}}: that is the file above. What follows is as it stands now.', {
              signedBy: signed.signedBy,
              when: momentWords(signed.signedAt),
            })}
          </p>
        ) : null}
        {weighed ? (
          <ClientPage round={round} weighed={weighed} plan={plan} namings={undefined} />
        ) : (
          <p className="p-6">{say('Nothing is counted in this round yet.')}</p>
        )}
      </main>
    </>
  )
}
