import { say } from '../language/say.ts'

/** Said in the place of what could not be read, with a way to try again; nothing where all is well. */
export function ReadProblem({ of, ...now }: { of: string; problem: Error | undefined; again: () => void }) {
  if (!now.problem) return null
  return (
    <p role="alert" className="mt-2 rounded-xl border-2 border-straw bg-straw/20 px-3 py-2">
      {say('{{what}}: could not be read. {{why}}', { what: of, why: now.problem.message })}{' '}
      <button type="button" onClick={now.again} className="min-h-11 px-2 font-semibold underline">
        {say('Read it again')}
      </button>
    </p>
  )
}
