import './nonce.ts'
import './app.css'
import { lettersHere, lettersLater } from './letters.ts'
import { pause } from './pause.ts'
import { preload } from './preload.ts'
import { chosenLanguage } from './language/languages.ts'
import { readLanguage } from './language/say.ts'

if (!navigator.serviceWorker?.controller) lettersLater()
void preload().finally(lettersHere)
const language = chosenLanguage()
document.documentElement.lang = language
// Many texts are made when their module is read, so the language is there before any of them.
await readLanguage(language)
// Each is run by itself: together they hold a slow phone up for a third of a second.
await import('react-dom/client')
await pause()
await import('react-router')
await pause()
const { start } = await import('./start.tsx')
await pause()
await start()
