import type { Round } from '@/core/records/round.ts'
import { say } from '../../language/say.ts'
import { RouteMap } from '../../parts/RouteMap.tsx'

interface Props {
  round: Round
  harmfulAt?: ReadonlySet<number>
  className: string
}

/** The walk of a round with its stops, where one was laid. */
export const StopsMap = ({ round, ...rest }: Props) =>
  round.route ? (
    <RouteMap
      boundary={round.paddock.boundary}
      parts={round.paddock.strata}
      line={round.route.line}
      stops={round.stops}
      label={say('Map of {{name}} with the stops', { name: round.paddock.name })}
      {...rest}
    />
  ) : null
