import { useId, useState, type FormEvent } from 'react'
import type { Plant } from '@/core/flora/flora.ts'
import { send } from '../../api/client.ts'
import { useFlora } from '../../stores/floraStore.ts'
import { reopenBook } from '../../workers/namingWorker.ts'
import { say } from '../../language/say.ts'

const template = `id: my-plant
common_name: My plant
scientific_name: Genus species
author: ''
family: Poaceae
form: grass
cycle: perennial
season: cool
role: forage
regions: {cool-humid: occasional}
months: [3, 4, 5, 6, 9, 10]
ground: [fertile]
characters:
  vernation: rolled
  auricles: {absent: usually, short-blunt: rarely}
  blade.width: {typical: [3, 6], extreme: [2, 9]}
sources: [own observation]
`

/** Add a plant of one's own: the text of its file, typed or chosen, checked like a shipped one. */
export function OwnPlant() {
  const id = useId()
  const [yaml, setYaml] = useState(template)
  const [said, setSaid] = useState('')
  const [wrong, setWrong] = useState('')
  const reload = useFlora((s) => s.reload)
  const add = async (e: FormEvent) => {
    e.preventDefault()
    try {
      const plant = await send<Plant>('POST', '/api/plants', { yaml })
      await reload()
      await reopenBook()
      setWrong('')
      setSaid(say('{{commonName}} is in the book now.', { commonName: plant.commonName }))
    } catch (error) {
      setSaid('')
      setWrong((error as Error).message)
    }
  }
  return (
    <details className="mt-4 border-y border-rule py-2">
      <summary className="min-h-11 py-2 font-semibold">{say('Add a plant of your own')}</summary>
      <form onSubmit={(e) => void add(e)} className="grid gap-2">
        <label htmlFor={id}>
          {say('Its file, as text. States and words are checked as for every plant of the book.')}
        </label>
        <textarea
          id={id}
          value={yaml}
          onChange={(e) => setYaml(e.target.value)}
          rows={14}
          spellCheck={false}
          className="w-full rounded-xl border border-rule bg-sheet p-3 font-mono text-base"
        />
        <p className="flex flex-wrap items-center gap-3">
          <button type="submit" className="min-h-12 rounded-xl bg-culm px-5 font-semibold text-on-culm">
            {say('Check and add')}
          </button>
          <input
            type="file"
            accept=".yaml,.yml,text/yaml"
            aria-label={say('Choose a plant file')}
            onChange={(e) => void e.target.files?.[0]?.text().then(setYaml)}
          />
          <span role="status">{said}</span>
        </p>
        <p role="alert" className="text-harm">
          {wrong}
        </p>
      </form>
    </details>
  )
}
