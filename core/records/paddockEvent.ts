export const eventKinds = ['sown', 'cut', 'grazed', 'fertilised', 'treated', 'other'] as const
export type EventKind = (typeof eventKinds)[number]

export interface SownPart {
  /** Plant id. */
  plant: string
  /** Kilograms a hectare of seed as bought. */
  kgPerHa: number
  /** Pure live seed, share of the seed as bought, 0 to 1: purity times germination. */
  pls: number
}

/** Something done in a paddock. */
export interface PaddockEvent {
  id: string
  paddockId: string
  kind: EventKind
  /** ISO day. */
  onDate: string
  note: string
  detail: {
    sown?: SownPart[]
    /** Animals and days, kg of nitrogen, cutting height: in the person's own words and numbers. */
    amount?: string
  }
}
