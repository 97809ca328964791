import { Toast } from 'radix-ui'
import { say } from '../../language/say.ts'
import { useToasts } from './toastStore.ts'

/** Long enough to read it, look at what changed, and reach for the button in gloves. */
const STAYS_MS = 10_000

/** What was done a moment ago, at the foot of the screen, above the rail of steps on a phone; F8 goes there. */
export function Toasts() {
  const { told, gone } = useToasts()
  return (
    <Toast.Provider duration={STAYS_MS} label={say('Done just now')} swipeDirection="down">
      {told.map((t) => (
        <Toast.Root
          key={t.id}
          onOpenChange={(open) => {
            if (!open) gone(t.id)
          }}
          className="flex items-center gap-3 rounded-2xl rounded-tl-sm border-2 border-culm bg-sheet p-2 pl-4 text-ink shadow-lg"
        >
          <Toast.Description className="min-w-0 grow [overflow-wrap:anywhere]">{t.says}</Toast.Description>
          <Toast.Action asChild altText={say('Undo: {{says}}', { says: t.says })}>
            <button
              type="button"
              onClick={t.undo}
              className="min-h-11 shrink-0 rounded-xl border-2 border-culm px-4 font-semibold text-culm"
            >
              {say('Undo')}
            </button>
          </Toast.Action>
          <Toast.Close aria-label={say('Close')} className="min-h-11 min-w-11 shrink-0">
            ×
          </Toast.Close>
        </Toast.Root>
      ))}
      <Toast.Viewport
        label={say('Done just now ({{hotkey}})', { hotkey: '{hotkey}' })}
        className="no-print fixed bottom-24 left-1/2 z-40 flex w-[min(34rem,94vw)] -translate-x-1/2 flex-col gap-2 min-[901px]:bottom-6"
      />
    </Toast.Provider>
  )
}
