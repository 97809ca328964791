import { Command } from 'cmdk'
import { Dialog } from 'radix-ui'
import { useNavigate } from 'react-router'
import { methodWords } from '@/text/methodWords.ts'
import { reads, useRead } from '../../data/reads.ts'
import { terms } from '../../parts/terms.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { dayWords } from '../../language/dates.ts'
import { say } from '../../language/say.ts'

interface Found {
  id: string
  name: string
  /** What it is, beside its name. */
  beside?: string
  /** Further words it is found by. */
  also?: string[]
  to: string
}

const places = (): Found[] =>
  (
    [
      [say('Rounds'), '/rounds'],
      [say('Count here, now'), '/count-here'],
      [say('Plan a round'), '/plan'],
      [say('A new paddock'), '/places/new'],
      [say('Bench'), '/bench'],
      [say('Plant book'), '/plants'],
      [say('Map of look-alikes'), '/plants/map'],
      [say('Compare'), '/compare'],
      [say('Practice'), '/practice'],
      [say('Daybook'), '/daybook'],
      [say('Names to look at again'), '/daybook/look-again'],
      [say('Units, names, language, copies'), '/daybook/device'],
      [say('Read a file of finds'), '/rounds/bring-in'],
      [say('A first round'), '/first-round'],
    ] as const
  ).map(([name, to]) => ({ id: `go ${to}`, name, to }))

/** Everything that has an address, group by group. */
function useEverything(): [title: string, found: Found[]][] {
  const { plants, characters } = useFlora()
  const { data: rounds = [] } = useRead(reads.rounds)
  const { data: known } = useRead(reads.places)
  const holding = new Map((known?.holdings ?? []).map((h) => [h.id, h.name]))
  return [
    [say('Go to'), places()],
    [
      say('Rounds'),
      rounds.map((r) => ({
        id: r.id,
        name: `${r.paddock}: ${r.title}`,
        beside: dayWords(r.plannedOn),
        also: [r.holding, r.client, methodWords(r.method).name],
        to: r.stopsDone > 0 ? `/rounds/${r.id}/weigh-up` : `/rounds/${r.id}`,
      })),
    ],
    [
      say('Paddocks'),
      (known?.paddocks ?? []).map((p) => ({
        id: p.id,
        name: p.name,
        beside: holding.get(p.holdingId) ?? '',
        to: `/places/${p.id}`,
      })),
    ],
    [
      say('Plants'),
      plants.map((p) => ({
        id: p.id,
        name: p.commonName,
        beside: p.role === 'toxic' ? `${p.scientificName}, ${say('harmful')}` : p.scientificName,
        also: [p.scientificName, p.family, ...p.alsoCalled],
        to: `/plants/${p.id}`,
      })),
    ],
    [
      say('How to look'),
      characters.map((c) => ({ id: `look ${c.id}`, name: c.title, also: [c.asks], to: `/glossary/look#${c.id}` })),
    ],
    [say('Words'), terms.map((t) => ({ id: `word ${t.id}`, name: t.term, to: `/glossary#${t.id}` }))],
  ]
}

const groupClass =
  '[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-3 [&_[cmdk-group-heading]]:text-sm [&_[cmdk-group-heading]]:text-ink-soft'

/** Every word that is typed stands somewhere in it; where a word of it begins so, it comes first. */
function matches(value: string, sought: string, keywords: string[] = []): number {
  const text = ` ${[value, ...keywords].join(' ')}`.toLowerCase()
  const words = sought.toLowerCase().split(/\s+/).filter(Boolean)
  if (!words.every((w) => text.includes(w))) return 0
  const name = ` ${value}`.toLowerCase()
  return words.every((w) => name.includes(` ${w}`)) ? 1 : words.every((w) => text.includes(` ${w}`)) ? 0.6 : 0.3
}

/** One line that finds plants by any name, rounds, paddocks, looks, words, and the way to every screen. */
export function FindAnything({ onClose }: { onClose: () => void }) {
  const groups = useEverything()
  const navigate = useNavigate()
  const go = (to: string) => {
    onClose()
    void navigate(to)
  }
  return (
    <Dialog.Root open onOpenChange={(open) => open || onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-[8vh] left-1/2 z-50 w-[min(40rem,94vw)] -translate-x-1/2 rounded-2xl border-2 border-culm bg-sheet text-ink shadow-xl"
        >
          <Dialog.Title className="sr-only">{say('Find anything')}</Dialog.Title>
          <Command label={say('Find anything')} filter={matches} loop>
            <Command.Input
              placeholder={say('A plant, a paddock, a round, a word …')}
              className="min-h-14 w-full rounded-t-2xl bg-transparent px-5 text-lg outline-none"
            />
            <Command.List className="max-h-[60vh] overflow-y-auto border-t border-rule px-2 pb-2">
              <Command.Empty className="px-3 py-4">{say('Nothing of that name is here.')}</Command.Empty>
              {groups.map(([title, found]) =>
                found.length === 0 ? null : (
                  <Command.Group key={title} heading={title} className={groupClass}>
                    {found.map((f) => (
                      <Command.Item
                        key={f.id}
                        value={`${f.name} ${f.id}`}
                        keywords={[f.beside ?? '', ...(f.also ?? [])]}
                        onSelect={() => go(f.to)}
                        className="flex min-h-11 cursor-pointer items-center justify-between gap-3 rounded-xl px-3 data-[selected=true]:bg-straw/40"
                      >
                        <span className="font-semibold">{f.name}</span>
                        {f.beside ? <span className="text-right text-sm text-ink-soft">{f.beside}</span> : null}
                      </Command.Item>
                    ))}
                  </Command.Group>
                ),
              )}
            </Command.List>
          </Command>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
