import { unitSystems, type UnitSystem } from '@/core/records/units.ts'
import { useUnits } from '../parts/units.ts'
import { say } from '../language/say.ts'

const says: Record<UnitSystem, string> = { metric: say('hectares, kilograms, metres'), us: say('acres, pounds, yards') }

/** In which units this device shows and takes in areas, masses, rates and ways. Leaves are measured in millimetres everywhere. */
export function UnitsChoice() {
  const { units, setUnits } = useUnits()
  return (
    <section aria-labelledby="units" className="mt-8 border-t border-rule pt-4">
      <h2 id="units" className="text-xl">
        {say('Units')}
      </h2>
      <div role="group" aria-labelledby="units" className="mt-2 flex flex-wrap gap-2">
        {unitSystems.map((u) => (
          <button
            key={u}
            type="button"
            aria-pressed={units === u}
            onClick={() => setUnits(u)}
            className="min-h-12 rounded-xl border border-rule px-4 aria-pressed:border-culm aria-pressed:bg-culm/15 aria-pressed:font-semibold"
          >
            {says[u]}
          </button>
        ))}
      </div>
      <p className="mt-1 text-ink-soft">
        {say('For this device; what is kept, and the files, stay metric. Parts of a plant are in millimetres.')}
      </p>
    </section>
  )
}
