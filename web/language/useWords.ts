import { useUnits } from '../parts/units.ts'
import { useLanguage } from './languageStore.ts'

/** Draws a component anew when the language or the units change; needed at the top of a screen and where `memo` would hold. */
export function useWords(): string {
  const language = useLanguage((s) => s.language)
  const units = useUnits((s) => s.units)
  return `${language} ${units}`
}
