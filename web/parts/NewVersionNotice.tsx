import { openNewVersion, useNewVersion } from '../stores/newVersion.ts'
import { say } from '../language/say.ts'

/** A newer version is offered, never put under an open page. */
export function NewVersionNotice() {
  const waiting = useNewVersion((s) => s.waiting)
  if (!waiting) return null
  return (
    <p
      role="status"
      className="no-print mx-2 mb-2 flex flex-wrap items-center justify-between gap-2 rounded-xl border-2 border-culm p-2 pl-4 min-[901px]:mx-8"
    >
      {say('A newer version is here. It opens this page anew: finish what stands half typed first.')}
      <button
        type="button"
        onClick={openNewVersion}
        className="min-h-11 rounded-lg border border-current px-3 font-semibold"
      >
        {say('Open it')}
      </button>
    </p>
  )
}
