import type { AccountRole } from '@/contract/accounts.ts'
import { useState } from 'react'
import { useRevalidator } from 'react-router'
import { addAccount, giveNewPassword, type Account } from '../../api/client.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { keepClass, PasswordField } from './PasswordField.tsx'
import { say } from '../../language/say.ts'

/** A new account: its name, what it may do, and the first password, told by the advisor. */
export function NewAccount({
  open,
  onOpen,
  onSaid,
}: {
  open: boolean
  onOpen: (open: boolean) => void
  onSaid: (words: string) => void
}) {
  const [name, setName] = useState('')
  const [role, setRole] = useState<AccountRole>('trainee')
  const [password, setPassword] = useState('')
  const { revalidate } = useRevalidator()
  const add = () =>
    void addAccount({ name, role, password })
      .then(async (a) => {
        await revalidate()
        setName('')
        setPassword('')
        onSaid(
          say('{{name}} may come in as {{role}}. Tell the password in person; it can be changed here.', {
            name: a.name,
            role: a.role,
          }),
        )
      })
      .catch((e: unknown) => onSaid((e as Error).message))
  return (
    <details open={open} onToggle={(e) => onOpen(e.currentTarget.open)} className="mt-4 max-w-xl">
      <summary className="min-h-11 content-center font-semibold">{say('Let somebody in')}</summary>
      <p>{say('A trainee reads everything, names, counts and practises; an advisor does everything.')}</p>
      <div className="grid gap-3 @md:grid-cols-2">
        <Labelled label={say('Name')}>
          {(id) => (
            <input
              id={id}
              value={name}
              maxLength={100}
              autoComplete="off"
              onChange={(e) => setName(e.target.value)}
              className={inputClass}
            />
          )}
        </Labelled>
        <Labelled label={say('As')}>
          {(id) => (
            <select
              id={id}
              value={role}
              onChange={(e) => setRole(e.target.value as AccountRole)}
              className={inputClass}
            >
              <option value="trainee">{say('trainee')}</option>
              <option value="advisor">{say('advisor')}</option>
            </select>
          )}
        </Labelled>
        <PasswordField label={say('First password')} value={password} onChange={setPassword} complete="new-password" />
      </div>
      <button type="button" disabled={name.trim() === '' || password === ''} onClick={add} className={keepClass}>
        {say('Make the account')}
      </button>
    </details>
  )
}

/** Another password for somebody who forgot theirs. */
export function NewPassword({ account, onSaid }: { account: Account; onSaid: (words: string) => void }) {
  const [password, setPassword] = useState('')
  const give = () =>
    void giveNewPassword(account.id, password)
      .then(() => {
        setPassword('')
        onSaid(say('{{name}} is signed out everywhere and comes in with the new password.', { name: account.name }))
      })
      .catch((e: unknown) => onSaid((e as Error).message))
  return (
    <div className="max-w-sm">
      <PasswordField
        label={say('New password for {{name}}', { name: account.name })}
        value={password}
        onChange={setPassword}
        complete="new-password"
      />
      <button type="button" disabled={password === ''} onClick={give} className={keepClass}>
        {say('Give it')}
      </button>
    </div>
  )
}
