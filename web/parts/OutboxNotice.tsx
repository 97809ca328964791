import { Confirm } from '../ui/Confirm.tsx'
import { Link } from 'react-router'
import { useStoreFull } from '../stores/browserStore.ts'
import { isOurs, useOutbox } from '../stores/outboxStore.ts'
import { unsentFile } from '../stores/unsentFile.ts'
import { download } from './download.ts'
import { say } from '../language/say.ts'

const buttonClass = 'min-h-11 rounded-lg border border-current px-3 font-semibold'

const saveUnsent = () => {
  const { pending, refused } = useOutbox.getState()
  download('not-sent.json', JSON.stringify(unsentFile([...refused, ...pending])), 'application/json')
}

/** What waits to be sent, in the line above every screen. */
export function Waiting() {
  const account = useOutbox((s) => s.account)
  const waiting = useOutbox((s) => s.pending).filter((p) => isOurs(p, account)).length
  const signIn = useOutbox((s) => s.signIn)
  if (signIn)
    return (
      <Link
        to="/sign-in"
        className="min-h-11 content-center rounded-lg border-2 border-harm px-3 font-semibold text-harm"
      >
        {say('Sign in to send {{waiting}}', { waiting })}
      </Link>
    )
  return (
    <span role="status" className="text-ink-soft">
      {waiting > 0 ? say('{{waiting}} to send', { waiting }) : ''}
    </span>
  )
}

/** What another account left here unsent: nothing goes out under a name that did not type it, unless somebody says so. */
function OfOthers() {
  const account = useOutbox((s) => s.account)
  const others = useOutbox((s) => s.pending).filter((p) => !isOurs(p, account))
  const { takeOver, dropOthers } = useOutbox.getState()
  if (others.length === 0) return null
  const who = [...new Set(others.map((p) => p.account))].join(', ')
  return (
    <div role="alert" className="no-print mx-2 mb-2 rounded-xl border-2 border-straw bg-straw/20 p-3 min-[901px]:mx-8">
      <p>
        <b>{say('{{count}} entries that {{who}} typed here were not sent.', { count: others.length, who })}</b>{' '}
        {say('They wait until {{who}} signs in again, or you decide.', { who })}
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" onClick={saveUnsent} className={buttonClass}>
          {say('Save what was typed as a file')}
        </button>
        <Confirm
          title={say('Send them under your name?')}
          detail={say('The trail will say that you wrote what {{who}} typed.', { who })}
          act={say('Send them under my name')}
          onConfirm={takeOver}
        >
          <button type="button" className={buttonClass}>
            {say('Send them under my name')}
          </button>
        </Confirm>
        <Confirm
          title={say('Throw away what {{who}} typed?', { who })}
          detail={say('There is no way back: save it as a file first where in doubt.')}
          act={say('Throw it away')}
          onConfirm={dropOthers}
        >
          <button type="button" className={buttonClass}>
            {say('Throw it away')}
          </button>
        </Confirm>
      </div>
    </div>
  )
}

/** Said across the page when something typed is in danger: refused by the server, or not to be stored on this device. */
export function OutboxNotice() {
  const refused = useOutbox((s) => s.refused)
  const unkept = useOutbox((s) => s.unkept.length)
  const again = useOutbox((s) => s.retryRefused)
  const dismiss = useOutbox((s) => s.dropRefused)
  const full = useStoreFull((s) => s.full)
  if (refused.length === 0 && unkept === 0 && !full) return <OfOthers />
  return (
    <>
      <OfOthers />
      <div
        role="alert"
        className="no-print mx-2 mb-2 rounded-xl border-2 border-harm bg-harm-wash p-3 text-harm min-[901px]:mx-8"
      >
        {refused.length > 0 ? (
          <p>
            <b>{say('Not saved: {{message}}', { message: refused[0]!.message })}</b>
            {refused.length > 1 ? say(' And {{n}} more.', { n: refused.length - 1 }) : ''}{' '}
            {say('What you typed is kept here.')}
          </p>
        ) : null}
        {unkept > 0 || full ? (
          <p>
            <b>{say('This device’s store is full.')}</b>{' '}
            {unkept > 0
              ? say(
                  '{{count}} entries are only in this open page: keep it open until they are sent, or save them as a file.',
                  {
                    count: unkept,
                  },
                )
              : say(
                  'What you are typing is only in this open page: finish it before you close the page, and make room.',
                )}
          </p>
        ) : null}
        <div className="mt-2 flex flex-wrap gap-2">
          {refused.length > 0 ? (
            <button type="button" onClick={again} className={buttonClass}>
              {say('Try again')}
            </button>
          ) : null}
          {refused.length > 0 || unkept > 0 ? (
            <button type="button" onClick={saveUnsent} className={buttonClass}>
              {say('Save what was typed as a file')}
            </button>
          ) : null}
          {refused.length > 0 ? (
            <Confirm
              title={say('Throw away what was not saved?')}
              detail={say(
                '{{count}} entries are only here. There is no way back: save them as a file first where in doubt.',
                {
                  count: refused.length,
                },
              )}
              act={say('Throw it away')}
              onConfirm={dismiss}
            >
              <button type="button" className={buttonClass}>
                {say('Throw it away')}
              </button>
            </Confirm>
          ) : null}
        </div>
      </div>
    </>
  )
}
