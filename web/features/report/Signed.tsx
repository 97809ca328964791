import type { Contacts } from '@/core/records/contacts.ts'
import type { Signature } from '@/core/records/signedPage.ts'
import { momentWords } from '../../language/dates.ts'
import { say } from '../../language/say.ts'
import { Say } from '../../language/Say.tsx'

const LINE = '………………………………'
const joined = (...parts: (string | undefined)[]) =>
  parts
    .map((p) => p?.trim())
    .filter(Boolean)
    .join(', ')

/** At the head of the pages: whether somebody stands behind them. */
export function SignedMark({ signature }: { signature: Signature | undefined }) {
  return signature ? (
    <p className="text-right text-sm whitespace-nowrap">{say('Signed, issue {{issue}}', { issue: signature.issue })}</p>
  ) : (
    <p className="border-2 border-ink px-2 text-right font-bold whitespace-nowrap">{say('Draft, not signed')}</p>
  )
}

/** Whom the people of the holding call first. */
export function CallFirst({ contacts }: { contacts: Contacts | undefined }) {
  return (
    <p className="mt-1 text-sm leading-snug">
      <Say
        text="<b>Call first:</b> veterinarian {{vet}}; poison line {{poisonLine}}. Keep a whole plant and a handful of the feed."
        values={{
          vet: joined(contacts?.vet, contacts?.vetPhone) || LINE,
          poisonLine: contacts?.poisonLine?.trim() || LINE,
        }}
        components={{ b: <b /> }}
      />
    </p>
  )
}

/** Who stands behind the pages, since when, and by which value the file can be told from another. */
export function SignatureBlock({
  contacts,
  signature,
}: {
  contacts: Contacts | undefined
  signature: Signature | undefined
}) {
  const who = joined(contacts?.advisor, contacts?.credentials, contacts?.advisorPhone)
  return (
    <section className="mt-2 break-inside-avoid border-t border-ink pt-1 text-sm leading-snug" data-testid="signature">
      {signature ? (
        <>
          <p>
            <Say
              text="<b>Signed by {{signedBy}}</b>, {{when}}, issue {{issue}}. A signed page is not changed: a correction is a further issue."
              values={{
                signedBy: joined(signature.signedBy, contacts?.credentials, contacts?.advisorPhone),
                when: momentWords(signature.signedAt),
                issue: signature.issue,
              }}
              components={{ b: <b /> }}
            />
          </p>
          <p className="font-mono text-xs break-all" data-testid="page-hash">
            {signature.hash}
          </p>
        </>
      ) : (
        <p>{say('Draft of {{who}}: not signed, not to be acted on.', { who: who || LINE })}</p>
      )}
    </section>
  )
}
