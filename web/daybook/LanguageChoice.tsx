import { chooseLanguage, chosenLanguage, languageIds, languages } from '../language/languages.ts'
import { say } from '../language/say.ts'

/** In which language this device speaks. What was written stays as it was written. */
export function LanguageChoice() {
  const chosen = chosenLanguage()
  return (
    <section aria-labelledby="language" className="mt-8 border-t border-rule pt-4">
      <h2 id="language" className="text-xl">
        {say('Language')}
      </h2>
      <div role="group" aria-labelledby="language" className="mt-2 flex flex-wrap gap-2">
        {languageIds.map((l) => (
          <button
            key={l}
            type="button"
            lang={l}
            aria-pressed={l === chosen}
            onClick={() => chooseLanguage(l)}
            className="min-h-12 rounded-xl border border-rule px-4 aria-pressed:border-culm aria-pressed:bg-culm/15 aria-pressed:font-semibold"
          >
            {languages[l].name}
          </button>
        ))}
      </div>
      <p className="mt-1 text-ink-soft">
        {say('For this device. What the book tells of each plant, and what people wrote, stays as it was written.')}
      </p>
    </section>
  )
}
