import { AlertDialog } from 'radix-ui'
import type { ReactElement } from 'react'
import { say } from '../language/say.ts'

interface Props {
  /** The button that asks for it. */
  children: ReactElement
  title: string
  /** What is lost, and whether there is a way back. */
  detail: string
  /** What the button that does it says. */
  act: string
  onConfirm: () => void
}

/** Asks before something is thrown away. The focus lies on the way back. */
export function Confirm({ children, title, detail, act, onConfirm }: Props) {
  const button = 'min-h-12 rounded-xl px-5 font-semibold'
  return (
    <AlertDialog.Root>
      <AlertDialog.Trigger asChild>{children}</AlertDialog.Trigger>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-ink/50" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 z-50 w-[min(32rem,92vw)] -translate-x-1/2 -translate-y-1/2 rounded-2xl border-2 border-rule bg-sheet p-5 text-ink">
          <AlertDialog.Title className="text-xl">{title}</AlertDialog.Title>
          <AlertDialog.Description className="mt-2">{detail}</AlertDialog.Description>
          <div className="mt-5 flex flex-wrap justify-end gap-3">
            <AlertDialog.Cancel className={`${button} border-2 border-rule`}>{say('Keep it')}</AlertDialog.Cancel>
            <AlertDialog.Action className={`${button} bg-harm text-sheet`} onClick={onConfirm}>
              {act}
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  )
}
