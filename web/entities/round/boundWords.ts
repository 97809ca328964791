import type { NoneFound } from '@/core/assess/harm/harmFindings.ts'
import { percent } from '../../parts/words.ts'
import { say } from '../../language/say.ts'

/** What a plant that was not met could still cover, and at how many places it could stand. */
export function boundWords({ ground, places }: NoneFound): string {
  const covers = ground
    ? say(
        'each could cover up to {{even}} of the ground where it stands evenly, and up to {{clumped}} however clumped',
        {
          even: percent(ground.even),
          clumped: percent(ground.clumped),
        },
      )
    : ''
  const stands = places
    ? say(
        'it could stand at up to {{upTo}} of places ({{looked}} looked over, for an eye that sees 6 in 10 at least)',
        {
          upTo: percent(places.upTo),
          looked: places.looked,
        },
      )
    : say('at how many places it stands, points do not say')
  return covers ? `${covers}; ${stands}` : stands
}
