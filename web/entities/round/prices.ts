import { create } from 'zustand'
import { persist } from 'zustand/middleware'
import { browserStore } from '../../stores/browserStore.ts'

/** Prices and costs as this device's reader knows them, in any one money; nothing is known until it is typed. */
export interface Prices {
  /** A tonne of dry matter of grain, and of protein meal. */
  grain?: number
  meal?: number
  /** A tonne of forage dry matter that is eaten. */
  forage?: number
  /** A hectare of weed control, the share of it that is killed (%), years it holds. */
  control?: number
  killPct?: number
  controlYears?: number
  /** A hectare sown, years it lasts, chance that it fails (%), interest a year (%), dry matter more in a year (kg/ha). */
  sowing?: number
  sowingYears?: number
  failsPct?: number
  interestPct?: number
  gainKgPerHa?: number
}

interface PricesState {
  prices: Prices
  set: (patch: { [K in keyof Prices]?: Prices[K] | undefined }) => void
}

const known = (prices: object): Prices => Object.fromEntries(Object.entries(prices).filter(([, v]) => v !== undefined))

export const usePrices = create<PricesState>()(
  persist((set) => ({ prices: {}, set: (patch) => set((s) => ({ prices: known({ ...s.prices, ...patch }) })) }), {
    name: 'fold-sprig-prices',
    storage: browserStore,
  }),
)
