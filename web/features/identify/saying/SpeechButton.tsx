import { useState } from 'react'
import { say } from '../../../language/say.ts'
import { heardWords } from './heardWords.ts'

/** What browsers that listen offer; most under a name of their own. */
interface Listener {
  lang: string
  /** For each stretch of speech what it may have been, the likeliest first. */
  onresult: (e: { results: ArrayLike<ArrayLike<object>> }) => void
  onend: () => void
  onerror: () => void
  start: () => void
}
type Listening = new () => Listener

const listening = (): Listening | undefined => {
  const here = window as unknown as Record<string, Listening | undefined>
  return here['SpeechRecognition'] ?? here['webkitSpeechRecognition']
}

/** Listening, only where the browser can, off until it is switched on by somebody who was told where the sound may go. */
export function SpeechButton({ onSaid }: { onSaid: (text: string) => void }) {
  const [told, setTold] = useState(false)
  const [on, setOn] = useState(false)
  const Listen = listening()
  if (!Listen) return null
  const listen = () => {
    const ear = new Listen()
    ear.lang = document.documentElement.lang
    ear.onresult = (e) => onSaid(Array.from(e.results, (r) => heardWords(r[0])).join(' '))
    ear.onend = ear.onerror = () => setOn(false)
    ear.start()
    setOn(true)
  }
  const button = 'min-h-11 rounded-xl border border-rule px-4'
  if (!told)
    return (
      <button type="button" className={button} onClick={() => setTold(true)}>
        {say('Listen to me')}
      </button>
    )
  return (
    <>
      <button type="button" className={`${button} border-culm`} aria-pressed={on} onClick={listen} disabled={on}>
        {on ? say('Listening …') : say('Start listening')}
      </button>
      <span className="max-w-sm text-sm text-ink-soft">
        {say(
          'Your browser may send the sound to its maker. The dictation key of a phone’s keyboard needs nothing from us.',
        )}
      </span>
    </>
  )
}
