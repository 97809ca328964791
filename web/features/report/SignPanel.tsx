import { useState } from 'react'
import type { SigningState } from '@/core/assess/signing.ts'
import type { Contacts } from '@/core/records/contacts.ts'
import type { Signature } from '@/core/records/signedPage.ts'
import { fieldWords } from '@/text/recordFields.ts'
import { signingNeedsWords, signingOpenWords } from '@/text/signingWords.ts'
import { getSignedPage } from '../../api/client.ts'
import { pendingCommands } from '../../stores/outboxStore.ts'
import { useContacts } from '../../entities/round/herd.ts'
import { download } from '../../parts/download.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { ReadProblem } from '../../ui/ReadProblem.tsx'
import { momentWords } from '../../language/dates.ts'
import { say } from '../../language/say.ts'

const contactFields = ['advisor', 'advisorPhone', 'credentials', 'vet', 'vetPhone', 'poisonLine'] as const satisfies readonly (keyof Contacts)[] // prettier-ignore

/** Who stands behind the pages and whom the people of the holding call. */
function ContactFields({ holdingId }: { holdingId: string }) {
  const { data: known = {}, change, problem, again } = useContacts(holdingId)
  return (
    <>
      <ReadProblem of={say('Advisor and veterinarian')} problem={problem} again={again} />
      <fieldset disabled={problem !== undefined} className="mt-2 grid gap-x-3 gap-y-2 @md:grid-cols-2">
        {contactFields.map((key) => (
          <Labelled key={key} label={fieldWords(key)}>
            {(id) => (
              <input
                id={id}
                type={key.endsWith('Phone') || key === 'poisonLine' ? 'tel' : 'text'}
                maxLength={key.endsWith('Phone') || key === 'poisonLine' ? 60 : 200}
                value={known[key] ?? ''}
                onChange={(e) => change({ [key]: e.target.value || undefined })}
                className={inputClass}
              />
            )}
          </Labelled>
        ))}
      </fieldset>
    </>
  )
}

/** Issues that were signed, each as the file it was. */
function Issues({ signatures, name }: { signatures: Signature[]; name: string }) {
  const [problem, setProblem] = useState('')
  /** The file of an issue; one that still waits to be sent is on this device only. */
  const fileOf = async (id: string): Promise<string> => {
    for (const c of pendingCommands()) if (c.do === 'sign-page' && c.signed.id === id) return c.signed.page
    return (await getSignedPage(id)).page
  }
  const open = (s: Signature) =>
    void fileOf(s.id).then(
      (page) => download(`${name} ${s.issue}.html`, page, 'text/html'),
      (e: unknown) => setProblem((e as Error).message),
    )
  if (signatures.length === 0) return null
  return (
    <>
      <ul className="mt-2" aria-label={say('Signed issues')}>
        {signatures.toReversed().map((s) => (
          <li key={s.id} className="flex flex-wrap items-center justify-between gap-2 border-b border-rule">
            <span>
              {say('Issue {{issue}}: {{signedBy}}, {{when}}', {
                issue: s.issue,
                signedBy: s.signedBy,
                when: momentWords(s.signedAt),
              })}
            </span>
            <button type="button" className="min-h-11 font-semibold text-culm underline" onClick={() => open(s)}>
              {say('Save the file')}
            </button>
          </li>
        ))}
      </ul>
      <p role="alert">{problem}</p>
    </>
  )
}

interface Props {
  holdingId: string
  /** Begin of the names of files. */
  name: string
  state: SigningState
  signatures: Signature[]
  /** The signature that the pages as they are shown bear. */
  signature: Signature | undefined
  onSign: () => Promise<void>
}

/** What stands in the way of a signature, the fields it needs, and the signature. */
export function SignPanel({ holdingId, name, state: { needs, open }, signatures, signature, onSign }: Props) {
  const [seen, setSeen] = useState(false)
  const [problem, setProblem] = useState('')
  const [working, setWorking] = useState(false)
  const ready = needs.length === 0 && (open.length === 0 || seen)
  const press = () => {
    setWorking(true)
    setProblem('')
    onSign()
      .catch((e: unknown) => setProblem((e as Error).message))
      .finally(() => setWorking(false))
  }
  return (
    <section aria-labelledby="sign" className="mt-4 max-w-xl rounded-2xl rounded-tl-sm border-2 border-culm p-4">
      <h2 id="sign" className="text-xl">
        {signature ? say('Signed, issue {{issue}}', { issue: signature.issue }) : say('Sign the pages')}
      </h2>
      {signature ? (
        <p>{say('Nothing on the pages has changed since. What is changed from here on makes them a draft again.')}</p>
      ) : (
        <>
          {signatures.length > 0 ? (
            <p>{say('Something has changed since the last issue: this is a draft of the next.')}</p>
          ) : null}
          {needs.length > 0 ? (
            <>
              <h3 className="mt-2 font-semibold">{say('Missing')}</h3>
              <ul className="list-disc pl-5">
                {needs.map((n) => (
                  <li key={n.code}>{signingNeedsWords(n)}</li>
                ))}
              </ul>
            </>
          ) : null}
          {open.length > 0 ? (
            <>
              <h3 className="mt-2 font-semibold">{say('Open, and on the pages as open')}</h3>
              <ul className="list-disc pl-5">
                {open.map((o) => (
                  <li key={signingOpenWords(o)}>{signingOpenWords(o)}</li>
                ))}
              </ul>
              <label className="mt-1 flex min-h-12 items-center gap-3">
                <input
                  type="checkbox"
                  checked={seen}
                  onChange={(e) => setSeen(e.target.checked)}
                  className="size-6 accent-culm"
                />
                {say('I have seen what is open and sign with it')}
              </label>
            </>
          ) : null}
          <button
            type="button"
            disabled={!ready || working}
            onClick={press}
            className="mt-2 min-h-12 rounded-xl bg-culm px-6 text-lg font-semibold text-on-culm disabled:opacity-50"
          >
            {say('Sign')}
          </button>
        </>
      )}
      <p role="alert" className="text-harm">
        {problem}
      </p>
      <Issues signatures={signatures} name={name} />
      <details className="mt-2" open={needs.some((n) => n.code !== 'pages-not-whole')}>
        <summary className="min-h-11 py-2 font-semibold">{say('Advisor, veterinarian, poison line')}</summary>
        <ContactFields holdingId={holdingId} />
      </details>
    </section>
  )
}
