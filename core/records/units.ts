/** What a person reads and types in; everything kept and worked out stays metric. */
export const unitSystems = ['metric', 'us'] as const
export type UnitSystem = (typeof unitSystems)[number]

/**
 * Quantities by what they are kept in.
 *
 * area: hectares · perArea: kilograms a hectare · way: metres walked · length: metres measured · weight: kilograms · energy: megacalories in a kilogram · height: centimetres · costPerArea: money a hectare · costPerWeight: money a tonne
 */
export type Quantity =
  'area' | 'perArea' | 'way' | 'length' | 'weight' | 'energy' | 'height' | 'costPerArea' | 'costPerWeight'

/** International yard and pound (1959): exact. */
const KG_PER_LB = 0.45359237
const M_PER_YD = 0.9144
const HA_PER_ACRE = (4840 * M_PER_YD ** 2) / 10_000
const CM_PER_INCH = 2.54
const LB_PER_TON = 2000

/** How much of what is kept one of the other unit is, and what it is called. */
const us: Record<Quantity, { each: number; name: string }> = {
  area: { each: HA_PER_ACRE, name: 'acres' },
  perArea: { each: KG_PER_LB / HA_PER_ACRE, name: 'lb/acre' },
  way: { each: M_PER_YD, name: 'yd' },
  length: { each: M_PER_YD / 3, name: 'ft' },
  weight: { each: KG_PER_LB, name: 'lb' },
  energy: { each: 1 / KG_PER_LB, name: 'Mcal/lb' },
  height: { each: CM_PER_INCH, name: 'in' },
  costPerArea: { each: 1 / HA_PER_ACRE, name: '/acre' },
  costPerWeight: { each: 1000 / (KG_PER_LB * LB_PER_TON), name: '/ton' },
}
const metric: Record<Quantity, string> = {
  area: 'ha',
  perArea: 'kg/ha',
  way: 'm',
  length: 'm',
  weight: 'kg',
  energy: 'Mcal/kg',
  height: 'cm',
  costPerArea: '/ha',
  costPerWeight: '/t',
}

export const unitName = (of: Quantity, system: UnitSystem): string => (system === 'us' ? us[of].name : metric[of])

/** A kept figure as it is shown. */
export const shownIn = (of: Quantity, kept: number, system: UnitSystem): number =>
  system === 'us' ? kept / us[of].each : kept

/** A typed figure as it is kept. */
export const keptFrom = (of: Quantity, typed: number, system: UnitSystem): number =>
  system === 'us' ? typed * us[of].each : typed
