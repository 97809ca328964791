import { useState, type FormEvent } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { Sprig } from '../../parts/Sprig.tsx'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import { useMe } from '../../stores/meStore.ts'
import { useOutbox } from '../../stores/outboxStore.ts'
import { say } from '../../language/say.ts'

/** Where to go afterwards: a page of ours and nothing else. */
const pageOf = (to: string | null) => (to && /^\/(?!\/|\\)/.test(to) ? to : '/rounds')

/** The gate: a name and a password. */
export function Component() {
  const [name, setName] = useState('')
  const [password, setPassword] = useState('')
  const [said, setSaid] = useState('')
  const [busy, setBusy] = useState(false)
  const [params] = useSearchParams()
  const navigate = useNavigate()
  const enter = useMe((s) => s.signIn)
  const waiting = useOutbox((s) => s.pending.length)
  const submit = async (e: FormEvent) => {
    e.preventDefault()
    setBusy(true)
    setSaid('')
    try {
      await enter(name, password)
      await useFlora.getState().load()
      void useOutbox.getState().drain()
      await navigate(pageOf(params.get('to')), { replace: true })
    } catch (error) {
      setSaid((error as Error).message)
      setBusy(false)
    }
  }
  return (
    <main className="grid min-h-dvh place-items-center px-6 py-10">
      <form onSubmit={(e) => void submit(e)} className="w-full max-w-sm">
        <Sprig className="size-16" />
        <h1 className="mt-3 text-3xl">{'Fold Sprig'}</h1>
        <p className="mt-1 text-ink-soft">{say('Sign in to read and write your team’s records.')}</p>
        {waiting > 0 ? (
          <p className="mt-3 font-semibold">
            {say('{{count}} entries wait on this device and will be sent once you are in.', { count: waiting })}
          </p>
        ) : null}
        <div className="mt-5 grid gap-3">
          <Labelled label={say('Name')}>
            {(id) => (
              <input
                id={id}
                value={name}
                autoComplete="username"
                autoFocus
                required
                maxLength={100}
                onChange={(e) => setName(e.target.value)}
                className={inputClass}
              />
            )}
          </Labelled>
          <Labelled label={say('Password')}>
            {(id) => (
              <input
                id={id}
                type="password"
                value={password}
                autoComplete="current-password"
                required
                maxLength={200}
                onChange={(e) => setPassword(e.target.value)}
                className={inputClass}
              />
            )}
          </Labelled>
        </div>
        <button
          type="submit"
          disabled={busy}
          className="mt-5 min-h-14 w-full rounded-xl bg-straw px-6 text-lg font-bold text-on-straw disabled:opacity-60"
        >
          {busy ? say('Opening the gate …') : say('Sign in')}
        </button>
        <p role="alert" className="mt-3 min-h-6 font-semibold text-harm">
          {said}
        </p>
        <p className="text-ink-soft">{say('Forgotten? An advisor of your team can give you a new password.')}</p>
      </form>
    </main>
  )
}
