import { fileWords } from '@/text/fileWords.ts'
import { kindName } from '@/text/practiceWords.ts'
import { useState } from 'react'
import { Link } from 'react-router'
import { practiceKinds, type PracticeKind } from '@/core/practice/answer.ts'
import {
  fleissKappa,
  groupQuestions,
  readAnswers,
  readSet,
  SET_FILE,
  type SetAnswers,
  type TrainerSet,
} from '@/core/practice/trainerSet.ts'
import { download, fileSlug } from '../../parts/download.ts'
import { FileButton } from '../../parts/FileButton.tsx'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { shortName, useFlora } from '../../stores/floraStore.ts'
import { useTrainerSet } from './setStore.ts'
import { askable } from './usePractice.ts'
import { say, together } from '../../language/say.ts'
import { fixed } from '../../language/numbers.ts'

const LARGEST = 1_000_000
const SETTABLE = practiceKinds.filter((k) => k !== 'cover' && k !== 'rank')

function MakeSet({ onMade }: { onMade: (set: TrainerSet) => void }) {
  const plants = useFlora((s) => s.plants)
  const [title, setTitle] = useState('')
  const [kind, setKind] = useState<PracticeKind>('name')
  const [count, setCount] = useState('10')
  const [only, setOnly] = useState('')
  const n = Number(count)
  const wanted = only
    .split(',')
    .map((w) => w.trim().toLowerCase())
    .filter(Boolean)
  const fits = (about: string) =>
    wanted.length === 0 ||
    about.split('|').some((id) => {
      const p = plants.find((x) => x.id === id)
      return (
        p && wanted.some((w) => p.commonName.toLowerCase().includes(w) || p.scientificName.toLowerCase().includes(w))
      )
    })
  const pool = askable(kind, plants).filter(fits)
  const good = title.trim() !== '' && Number.isInteger(n) && n >= 1 && n <= 100 && pool.length > 0
  const make = () => {
    const shuffled = [...pool].sort(() => Math.random() - 0.5)
    const questions = Array.from({ length: n }, (_, i) => ({
      kind,
      about: shuffled[i % shuffled.length]!,
      seed: Math.random(),
    }))
    const set: TrainerSet = { kind: SET_FILE, version: 1, id: crypto.randomUUID(), title: title.trim(), questions }
    download(`${fileSlug(title)}-set.json`, JSON.stringify(set, null, 1), 'application/json')
    onMade(set)
  }
  return (
    <div className="grid max-w-xl gap-3 @md:grid-cols-2">
      <Labelled label={say('Title of the set')}>
        {(id) => (
          <input
            id={id}
            value={title}
            maxLength={200}
            onChange={(e) => setTitle(e.target.value)}
            className={inputClass}
          />
        )}
      </Labelled>
      <Labelled label={say('Kind of question')}>
        {(id) => (
          <select id={id} value={kind} onChange={(e) => setKind(e.target.value as PracticeKind)} className={inputClass}>
            {SETTABLE.map((k) => (
              <option key={k} value={k}>
                {kindName(k)}
              </option>
            ))}
          </select>
        )}
      </Labelled>
      <Labelled label={say('Questions')}>
        {(id) => (
          <input
            id={id}
            inputMode="numeric"
            value={count}
            onChange={(e) => setCount(e.target.value)}
            className={inputClass}
          />
        )}
      </Labelled>
      <Labelled label={say('Only these plants (names, with commas)')}>
        {(id) => <input id={id} value={only} onChange={(e) => setOnly(e.target.value)} className={inputClass} />}
      </Labelled>
      {pool.length === 0 ? (
        <p className="font-semibold text-harm @md:col-span-2">{say('No plant of the book fits these names.')}</p>
      ) : null}
      <button
        type="button"
        disabled={!good}
        onClick={make}
        className="min-h-12 rounded-xl border-2 border-culm px-4 font-semibold text-culm disabled:opacity-50 @md:col-span-2"
      >
        {say('Make the set and save it')}
      </button>
    </div>
  )
}

/** How a group answered one set: question by question, and how far they agree. */
function Group({ set, group }: { set: TrainerSet; group: SetAnswers[] }) {
  const byId = useFlora((s) => s.byId)
  const name = (id: string) => (byId.has(id) ? shortName(id) : id.replace(/[|]/g, ' and ').replace(/-/g, ' '))
  const questions = groupQuestions(set, group)
  const whole = set.questions
    .map((_, i) => group.map((g) => g.answers[i]?.answered))
    .filter((a): a is string[] => a.every(Boolean))
  const kappa = fleissKappa(whole)
  return (
    <div data-testid="group">
      <p>
        <b>{set.title}</b>:{' '}
        {group
          .map((g) =>
            say('{{who}} {{n}} of {{n2}}', {
              who: g.who,
              n: g.answers.filter((a) => a.right).length,
              n2: g.answers.length,
            }),
          )
          .join(', ')}
        {kappa === undefined
          ? ''
          : say('. Agreement among them beyond chance: kappa {{kappa}} (Fleiss 1971).', { kappa: fixed(kappa, 2) })}
      </p>
      <ol className="mt-1 list-decimal pl-6">
        {questions.map((q, i) => (
          <li key={i}>
            {say('{{split}}: {{right}} of {{answered}} right{{what}}', {
              split: together(q.about.split('|').map(name)),
              right: q.right,
              answered: q.answered,
              what:
                q.wrong.length > 0
                  ? say('; called {{wrong}}', {
                      wrong: q.wrong.map((w) => `${name(w.called)} (${w.times})`).join(', '),
                    })
                  : '',
            })}
          </li>
        ))}
      </ol>
    </div>
  )
}

/** For trainers: a set that everybody answers, and what a group made of it. */
export function TrainerSets({ onOpen }: { onOpen: (set: TrainerSet) => void }) {
  const { set, open: setSet } = useTrainerSet()
  const [group, setGroup] = useState<SetAnswers[]>([])
  const [said, setSaid] = useState('')
  const text = async (file: File) => {
    if (file.size > LARGEST) throw new Error(say('{{name}} is larger than 1 MB, which no set is.', { name: file.name }))
    return file.text()
  }
  const attempt = (work: () => Promise<void>) => void work().catch((e: unknown) => setSaid((e as Error).message))
  const openSet = (file: File) =>
    attempt(async () => {
      const read = readSet(await text(file))
      if ('problem' in read) throw new Error(`${file.name}: ${fileWords(read.problem)}`)
      setSet(read.set)
      setGroup([])
      setSaid(say('"{{title}}" is open: {{n}} questions.', { title: read.set.title, n: read.set.questions.length }))
    })
  const addAnswers = (file: File) =>
    attempt(async () => {
      const read = readAnswers(await text(file))
      if ('problem' in read) throw new Error(`${file.name}: ${fileWords(read.problem)}`)
      if (read.answers.set !== set?.id) throw new Error(say('{{name}} answers another set.', { name: file.name }))
      setGroup((g) => [...g.filter((x) => x.who !== read.answers.who), read.answers])
      setSaid(say('{{who}} is in.', { who: read.answers.who }))
    })
  return (
    <details className="mt-6 border-t border-rule pt-2">
      <summary className="min-h-12 py-2.5 text-xl">{say('For trainers and groups')}</summary>
      <p className="max-w-prose">
        {say(
          'A set is a file: everybody who opens it sees the same specimens. Who has answered saves the answers as a file; here the answers of a group are put together.',
        )}
      </p>
      <div className="mt-3">
        <MakeSet
          onMade={(made) => {
            setSet(made)
            setGroup([])
            setSaid(say('"{{title}}" is saved: {{n}} questions.', { title: made.title, n: made.questions.length }))
          }}
        />
      </div>
      <div className="mt-4 flex flex-wrap gap-2">
        <FileButton label={say('Open a set')} accept=".json" onFile={openSet} />
        {set ? (
          <button
            type="button"
            onClick={() => onOpen(set)}
            className="min-h-11 rounded-xl border-2 border-culm px-4 font-semibold text-culm"
          >
            {say('Answer "{{title}}"', { title: set.title })}
          </button>
        ) : null}
        {set ? (
          <Link
            to="/practice/set"
            className="flex min-h-11 items-center rounded-xl border-2 border-culm px-4 font-semibold text-culm"
          >
            {say('Print it')}
          </Link>
        ) : null}
        {set ? <FileButton label={say("Add somebody's answers")} accept=".json" onFile={addAnswers} /> : null}
      </div>
      <p role="status" className="mt-1">
        {said}
      </p>
      {set && group.length > 0 ? <Group set={set} group={group} /> : null}
    </details>
  )
}
