import { letterWords, taxonName } from '@/text/taxonNames.ts'
import { groupOf, unknownTaxon, type Taxon } from '@/core/records/taxon.ts'
import { GroupMark } from '../../parts/HatchDefs.tsx'
import { useFlora } from '../../stores/floraStore.ts'
import type { CountKey } from './countKeys.ts'
import { say } from '../../language/say.ts'

interface Props {
  keys: CountKey[]
  /** Plant in hand, where a value follows. */
  chosen?: Taxon | null
  /** What stands beside a plant: how often, its class, its rank. */
  shown: (taxon: Taxon) => string
  hint: string
  onHit: (taxon: Taxon) => void
  onAdd: () => void
  onNewUnknown: () => void
  newLetter: string | undefined
}

/** Where a word that may be too long for a key is made of two: it is parted there before it breaks anywhere. */
const SEAM = /(?<=\p{L}{3})(?=(?:grass|weed|wort|clover|gras|klee|kraut|distel|schwingel)(?!\p{L}))/gu
const LONG_WORD = /\p{L}{12,}/gu
/** Unseen unless the word is parted, and a hyphen then. */
const SOFT_HYPHEN = '\u00ad'

const parted = (name: string): string => name.replace(LONG_WORD, (word) => word.replace(SEAM, SOFT_HYPHEN))

/** One key per species, found without looking: the letter, the name, and how often at this stop. */
export function KeyStrip({ keys, chosen = null, shown, hint, onHit, onAdd, onNewUnknown, newLetter }: Props) {
  const byId = useFlora((s) => s.byId)
  return (
    <>
      <ul className="mt-4 grid grid-cols-2 gap-1.5 @md:grid-cols-3" aria-label={say('Keys')}>
        {keys.map(({ taxon, key }) => {
          const harmful = byId.get(taxon)?.role === 'toxic'
          const count = shown(taxon)
          const on = count !== '' || chosen === taxon
          return (
            <li key={taxon}>
              <button
                type="button"
                onClick={(e) => {
                  onHit(taxon)
                  // The space bar must mean "same again", not press this button once more.
                  e.currentTarget.blur()
                }}
                className={`flex min-h-14 w-full items-center gap-1.5 rounded-xl border px-1.5 text-left leading-tight ${on ? 'border-culm bg-culm/10' : 'border-rule bg-sheet'} ${chosen === taxon ? 'outline-3 outline-straw' : ''} hover:border-culm`}
              >
                <kbd className="grid size-7 shrink-0 place-items-center rounded-lg border border-rule bg-husk text-lg font-bold">
                  {key}
                </kbd>
                <span className="min-w-0 grow [overflow-wrap:anywhere]">
                  {parted(taxonName(taxon, byId).replace(/ \(.*\)/, ''))}
                  {harmful ? <span className="block text-sm font-bold text-harm">{say('harmful')}</span> : null}
                </span>
                <span className="grid min-w-6 shrink-0 justify-items-center">
                  <b className="text-xl leading-none">{count}</b>
                  <GroupMark group={harmful ? 'harm' : groupOf(taxon, byId)} className="size-4" />
                </span>
              </button>
            </li>
          )
        })}
      </ul>
      <p className="mt-2 flex flex-wrap items-center gap-2">
        <button type="button" onClick={onAdd} className="min-h-11 rounded-xl border border-rule px-4">
          {say('Another plant')} <kbd className="ml-1 text-sm text-ink-soft">/</kbd>
        </button>
        {/* The first unknown has its key above; another begins once that one was met. */}
        {newLetter && !keys.some((k) => k.taxon === unknownTaxon(newLetter)) ? (
          <button type="button" onClick={onNewUnknown} className="min-h-11 rounded-xl border border-rule px-4">
            {say('A new unknown{{what}}', { what: ` (${letterWords(newLetter)})` })}{' '}
            <kbd className="ml-1 text-sm text-ink-soft">x</kbd>
          </button>
        ) : null}
        <span className="text-ink-soft touch:hidden">{hint}</span>
      </p>
    </>
  )
}
