import { unitSystems, type UnitSystem } from '@/core/records/units.ts'
import { say } from '../../language/say.ts'
import { useUnits } from '../../parts/units.ts'
import { DeviceChoice } from './DeviceChoice.tsx'

const says: Record<UnitSystem, string> = {
  get metric() {
    return say('hectares, kilograms, metres')
  },
  get us() {
    return say('acres, pounds, yards')
  },
}
/** In which units this device shows and takes in areas, masses, rates and ways. Leaves are measured in millimetres everywhere. */
export function UnitsChoice() {
  const { units, setUnits } = useUnits()
  return (
    <DeviceChoice
      id="units"
      title={say('Units')}
      options={unitSystems.map((u) => ({ value: u, says: says[u] }))}
      chosen={units}
      onChoose={(u) => setUnits(u as UnitSystem)}
      note={say('For this device; what is kept, and the files, stay metric. Parts of a plant are in millimetres.')}
    />
  )
}
