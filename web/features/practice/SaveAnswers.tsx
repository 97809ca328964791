import { useState } from 'react'
import type { PracticeAnswer } from '@/core/practice/answer.ts'
import { ANSWERS_FILE, type SetAnswers, type TrainerSet } from '@/core/practice/trainerSet.ts'
import { download, fileSlug } from '../../parts/download.ts'
import { inputClass, Labelled } from '../../parts/Labelled.tsx'
import { say } from '../../language/say.ts'

/** What was answered of a set, for the trainer, as a file with a name on it. */
export function SaveAnswers({ set, done }: { set: TrainerSet; done: PracticeAnswer[] }) {
  const [who, setWho] = useState('')
  const save = () => {
    const file: SetAnswers = {
      kind: ANSWERS_FILE,
      version: 1,
      set: set.id,
      who: who.trim(),
      answers: done.map(({ about, answered, right, sure, seconds }) => ({ about, answered, right, sure, seconds })),
    }
    download(`${fileSlug(`${set.title} ${who}`)}-answers.json`, JSON.stringify(file, null, 1), 'application/json')
  }
  return (
    <section
      className="mb-5 rounded-2xl rounded-tl-sm border-2 border-culm p-4"
      aria-label={say('Answers for the trainer')}
    >
      <p>
        {say('"{{title}}" is answered: {{n}} of {{n2}} right.', {
          title: set.title,
          n: done.filter((d) => d.right).length,
          n2: done.length,
        })}
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <Labelled label={say('Your name for the trainer')}>
          {(id) => (
            <input
              id={id}
              value={who}
              maxLength={200}
              onChange={(e) => setWho(e.target.value)}
              className={inputClass}
            />
          )}
        </Labelled>
        <button
          type="button"
          disabled={who.trim() === ''}
          onClick={save}
          className="min-h-12 rounded-xl bg-culm px-4 font-semibold text-on-culm disabled:opacity-50"
        >
          {say('Save the answers')}
        </button>
      </div>
    </section>
  )
}
