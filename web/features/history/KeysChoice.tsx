import { say } from '../../language/say.ts'
import { useLetterKeys } from '../../ui/windowKeys.ts'
import { DeviceChoice } from './DeviceChoice.tsx'

/** Whether single letters and digits do something on this device. */
export function KeysChoice() {
  const { on, setOn } = useLetterKeys()
  return (
    <DeviceChoice
      id="letter-keys"
      title={say('Letter keys')}
      options={[
        { value: 'on', says: say('letters and digits answer and count') },
        { value: 'off', says: say('only buttons') },
      ]}
      chosen={on ? 'on' : 'off'}
      onChoose={(v) => setOn(v === 'on')}
      note={say('For this device. Turn them off where a voice types, or keys are touched by chance.')}
    />
  )
}
