import { useState } from 'react'
import { changeOwnPassword } from '../../api/client.ts'
import { keepClass, PasswordField } from './PasswordField.tsx'
import { say } from '../../language/say.ts'

/** One's own password, which needs the one of today. */
export function OwnPassword({ onSaid }: { onSaid: (words: string) => void }) {
  const [now, setNow] = useState('')
  const [password, setPassword] = useState('')
  const change = () =>
    void changeOwnPassword(now, password)
      .then(() => {
        setNow('')
        setPassword('')
        onSaid(say('Your password is changed. Every other device is signed out.'))
      })
      .catch((e: unknown) => onSaid((e as Error).message))
  return (
    <details className="mt-4 max-w-xl">
      <summary className="min-h-11 content-center font-semibold">{say('Change your password')}</summary>
      <div className="grid gap-3 @md:grid-cols-2">
        <PasswordField label={say('Password of today')} value={now} onChange={setNow} complete="current-password" />
        <PasswordField label={say('New password')} value={password} onChange={setPassword} complete="new-password" />
      </div>
      <button type="button" disabled={now === '' || password === ''} onClick={change} className={keepClass}>
        {say('Change it')}
      </button>
    </details>
  )
}
