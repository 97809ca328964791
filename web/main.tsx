import './nonce.ts'
import './app.css'
import { preload } from './preload.ts'
import { chosenLanguage } from './language/languages.ts'
import { readLanguage } from './language/say.ts'

// A first visit is written in the letters of the device until its own have come, after all that says something.
if (!navigator.serviceWorker?.controller) document.documentElement.dataset.letters = 'later'
void preload().finally(() => delete document.documentElement.dataset.letters)
const language = chosenLanguage()
document.documentElement.lang = language
// Many texts are made when their module is read, so the language is there before any of them.
await readLanguage(language)
const { start } = await import('./start.tsx')
await start()
