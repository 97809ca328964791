import { isSameDay, parseISO } from 'date-fns'
import { useState } from 'react'
import { redirect, useLoaderData, useRevalidator } from 'react-router'
import { changeAccount, getAccounts, getAudit, type Account, type AuditLine } from '../../api/client.ts'
import { TwoPane } from '../../parts/TwoPane.tsx'
import { useMe } from '../../stores/meStore.ts'
import { auditWords } from './auditWords.ts'
import { NewAccount, NewPassword } from './AccountForms.tsx'
import { OwnPassword } from './OwnPassword.tsx'
import { Confirm } from '../../ui/Confirm.tsx'
import { say } from '../../language/say.ts'
import { weekdayWords, timeWords } from '../../language/dates.ts'

export async function loader() {
  await useMe.getState().load()
  const { account } = useMe.getState()
  if (!account) return redirect('/rounds')
  if (account.role !== 'advisor') return { accounts: [] as Account[], lines: [] as AuditLine[] }
  const [accounts, lines] = await Promise.all([getAccounts(), getAudit()])
  return { accounts, lines }
}

function AccountLine({ account, onSaid }: { account: Account; onSaid: (words: string) => void }) {
  const { revalidate } = useRevalidator()
  const [fresh, setFresh] = useState(false)
  const change = (to: { role: Account['role']; closed: boolean }, words: string) =>
    void changeAccount(account.id, to)
      .then(() => revalidate())
      .then(() => onSaid(words))
      .catch((e: unknown) => onSaid((e as Error).message))
  const { name, role, closedAt } = account
  const other = role === 'advisor' ? 'trainee' : 'advisor'
  return (
    <li className="border-b border-rule py-2">
      <p className={closedAt ? 'text-ink-soft' : ''}>
        <b>{name}</b>, {role}
        {closedAt ? say('; closed on {{day}}', { day: weekdayWords(closedAt) }) : ''}
      </p>
      <div className="flex flex-wrap gap-x-4">
        {closedAt ? (
          <button
            type="button"
            className="min-h-11 text-culm underline"
            onClick={() => change({ role, closed: false }, say('{{name}} may come in again.', { name }))}
          >
            {say('Open it again')}
          </button>
        ) : (
          <>
            <button
              type="button"
              className="min-h-11 text-culm underline"
              onClick={() =>
                change({ role: other, closed: false }, say('{{name}} is a {{other}} now.', { name, other }))
              }
            >
              {other === 'advisor' ? say('Make an advisor') : say('Make a trainee')}
            </button>
            <button
              type="button"
              className="min-h-11 text-culm underline"
              aria-expanded={fresh}
              onClick={() => setFresh(!fresh)}
            >
              {say('New password')}
            </button>
            <Confirm
              title={say('Close the account of {{name}}?', { name })}
              detail={say('{{name}} is out at once, on every device. The account can be opened again.', { name })}
              act={say('Close it')}
              onConfirm={() => change({ role, closed: true }, say('{{name}} is out, on every device.', { name }))}
            >
              <button type="button" className="min-h-11 text-harm underline">
                {say('Close')}
              </button>
            </Confirm>
          </>
        )}
      </div>
      {fresh ? <NewPassword account={account} onSaid={onSaid} /> : null}
    </li>
  )
}

function Trail({ first }: { first: AuditLine[] }) {
  const [older, setOlder] = useState<AuditLine[]>([])
  const [ended, setEnded] = useState(first.length < 200)
  const lines = [...first, ...older]
  const more = () =>
    void getAudit(lines.at(-1)?.at).then((next) => {
      setOlder((o) => [...o, ...next])
      setEnded(next.length < 200)
    })
  return (
    <>
      <ol className="mt-3">
        {lines.map((l, i) => (
          <li key={l.id}>
            {i === 0 || !isSameDay(parseISO(l.at), parseISO(lines[i - 1]!.at)) ? (
              <h3 className="mt-4 border-b border-rule font-semibold">{weekdayWords(l.at)}</h3>
            ) : null}
            <p className="flex gap-3 py-1">
              <span className="w-12 shrink-0 text-ink-soft">{timeWords(l.at)}</span>
              <span>
                <b>{l.who}</b> {auditWords(l)}
              </span>
            </p>
          </li>
        ))}
      </ol>
      {ended ? null : (
        <button type="button" onClick={more} className="mt-3 min-h-12 rounded-xl border border-rule px-5">
          {say('Earlier')}
        </button>
      )}
    </>
  )
}

/** Who may come in, and who did what. */
export function Component() {
  const { accounts, lines } = useLoaderData<typeof loader>() as { accounts: Account[]; lines: AuditLine[] }
  const me = useMe((s) => s.account)
  const leave = useMe((s) => s.signOut)
  const [said, setSaid] = useState('')
  const [adding, setAdding] = useState(false)
  if (!me) return null
  const advisor = me.role === 'advisor'
  const open = accounts.filter((a) => !a.closedAt)
  const signOut = () =>
    void leave()
      // A new page, so that nothing of the records stays in the memory of this one.
      .then(() => location.assign('/sign-in'))
      .catch((e: unknown) => setSaid((e as Error).message))
  return (
    <TwoPane
      names={{ left: say('Team'), right: advisor ? say('Who did what') : say('What a trainee does') }}
      tip={
        advisor
          ? { label: say('Let somebody in'), detail: say('an advisor or a trainee'), onPress: () => setAdding(true) }
          : { label: say('Walk a round'), detail: say('what is planned'), to: '/rounds' }
      }
      nodes={[
        { id: 'me', label: me.name, detail: me.role },
        ...(advisor ? [{ id: 'open', label: say('Accounts'), detail: say('{{n}} open', { n: open.length }) }] : []),
      ]}
      left={
        <>
          <div className="flex items-center justify-between gap-3">
            <h1 className="text-[1.65rem]">{say('Team')}</h1>
            <button type="button" onClick={signOut} className="min-h-11 rounded-xl border border-rule px-4">
              {say('Sign out')}
            </button>
          </div>
          <p role="status" className="min-h-6 font-semibold">
            {said}
          </p>
          {advisor ? (
            <>
              <ul className="max-w-xl">
                {accounts.map((a) => (
                  <AccountLine key={a.id} account={a} onSaid={setSaid} />
                ))}
              </ul>
              <NewAccount open={adding} onOpen={setAdding} onSaid={setSaid} />
            </>
          ) : null}
          <OwnPassword onSaid={setSaid} />
        </>
      }
      right={
        advisor ? (
          <>
            <h2 className="text-xl">{say('Who did what')}</h2>
            <p className="max-w-prose text-ink-soft">
              {say('Every change has a line, and every change that was refused. Lines are never taken away.')}
            </p>
            <Trail first={lines} />
          </>
        ) : (
          <>
            <h2 className="text-xl">{say('What a trainee does')}</h2>
            <p className="mt-2 max-w-prose">
              {say(
                'You read everything the team knows, name plants, count stops and practise. Places, plans, the stock and copies are changed by an advisor.',
              )}
            </p>
          </>
        )
      }
    />
  )
}
