import { changeLanguage, useLanguage } from '../../language/languageStore.ts'
import { languageIds, languages, type Language } from '../../language/languages.ts'
import { say } from '../../language/say.ts'
import { DeviceChoice } from './DeviceChoice.tsx'

const options = languageIds.map((l) => ({ value: l, says: languages[l].name, lang: l }))

/** In which language this device speaks. What was written stays as it was written. */
export function LanguageChoice() {
  const language = useLanguage((s) => s.language)
  return (
    <DeviceChoice
      id="language"
      title={say('Language')}
      options={options}
      chosen={language}
      onChoose={(l) => void changeLanguage(l as Language)}
      note={say('For this device. What people wrote stays as it was written.')}
    />
  )
}
