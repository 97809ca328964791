// What each place opens with, in each language, for the server to put into its page: it has no texts of its own.
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Plugin } from 'vite'
import { openingWords } from '../text/openingWords.ts'
import { speak, translatorFrom } from '../text/say.ts'

const TEXTS = 'web/language/texts'

export function openings(): Plugin {
  return {
    name: 'openings',
    apply: 'build',
    generateBundle() {
      const made = readdirSync(TEXTS).map((file) => {
        speak(translatorFrom(JSON.parse(readFileSync(join(TEXTS, file), 'utf8')) as Record<string, string>))
        return [file.replace('.json', ''), openingWords()]
      })
      speak()
      this.emitFile({ type: 'asset', fileName: 'openings.json', source: JSON.stringify(Object.fromEntries(made)) })
    },
  }
}
