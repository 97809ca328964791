import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import type { Estimate } from '@/core/assess/feed/mixtureFeed.ts'
import { keptFrom, shownIn, unitName, type Quantity, type UnitSystem } from '@/core/records/units.ts'
import { atMost, fixed } from '../language/numbers.ts'
import { browserStore } from '../stores/browserStore.ts'
import { say } from '../language/say.ts'

interface UnitsState {
  units: UnitSystem
  setUnits: (units: UnitSystem) => void
}

/** Hectares and kilograms, or acres and pounds: what this device shows and takes in. */
export const useUnits = create<UnitsState>()(
  persist((set) => ({ units: 'metric', setUnits: (units) => set({ units }) }), {
    name: 'fold-sprig-units',
    storage: browserStore,
  }),
)

const now = () => useUnits.getState().units

export const unitOf = (of: Quantity): string => unitName(of, now())
/** A figure without its unit, and what was typed as it is kept. */
export const inUnits = (of: Quantity, kept: number): number => shownIn(of, kept, now())
export const typedIn = (of: Quantity, typed: number): number => keptFrom(of, typed, now())
/** A figure with its range. */
export const estimateIn = (of: Quantity, e: Estimate): Estimate => ({
  low: inUnits(of, e.low),
  middle: inUnits(of, e.middle),
  high: inUnits(of, e.high),
})
/** A figure for a field of a form: whole from a hundred on, else with what was typed. */
export const forField = (of: Quantity, kept: number): number => {
  const shown = inUnits(of, kept)
  return shown >= 100 ? Math.round(shown) : Number(shown.toPrecision(5))
}

const tens = (n: number) => Math.round(n / 10) * 10
const few = (n: number) => atMost(n, n < 10 ? 1 : 0)

export const areaWords = (ha: number): string => `${fixed(inUnits('area', ha), 2)} ${unitOf('area')}`
export const wayWords = (metres: number): string => `${Math.round(inUnits('way', metres))} ${unitOf('way')}`
export const lengthWords = (metres: number): string => `${few(inUnits('length', metres))} ${unitOf('length')}`
/** A long way, where a few steps do not matter. */
export const aboutWayWords = (metres: number): string => `${tens(inUnits('way', metres))} ${unitOf('way')}`
/** A standing mass to the nearest ten, without its unit. */
export const massFigure = (kgPerHa: number): number => tens(inUnits('perArea', kgPerHa))
export const rateWords = (kgPerHa: number): string => `${few(inUnits('perArea', kgPerHa))} ${unitOf('perArea')}`
export const weightWords = (kg: number): string => `${few(inUnits('weight', kg))} ${unitOf('weight')}`
export const heightWords = (cm: number): string => `${few(inUnits('height', cm))} ${unitOf('height')}`
export const aHectare = (): string => (now() === 'us' ? say('an acre') : say('a hectare'))
/** So many on a square metre, as so many on what is spoken of. */
export const onSmall = (perM2: number): string =>
  now() === 'us'
    ? say('{{few}} live seeds on a square foot', { few: few(perM2 / shownIn('length', 1, 'us') ** 2) })
    : say('{{few}} live seeds on a square metre', { few: few(perM2) })
/** So many on a hectare, as so many on what is spoken of. */
export const onEach = (perHa: number): number => (now() === 'us' ? perHa / shownIn('area', 1, 'us') : perHa)
