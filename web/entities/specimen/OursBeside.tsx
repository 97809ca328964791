import type { Plant } from '@/core/flora/flora.ts'
import { PicturesOf } from './PicturesOf.tsx'
import { useSeen } from './useSeen.ts'

const SHOWN = 3

/** Pictures taken here of what was named so, beside its likeness: those that somebody looked at again first. */
export function OursBeside({ plant }: { plant: Plant }) {
  const { seen } = useSeen(plant.id)
  return seen
    .slice(0, SHOWN)
    .map((s) => (
      <PicturesOf key={s.subject} subject={s.subject} name={plant.commonName} caption={`${s.what}: ${s.says}`} />
    ))
}
