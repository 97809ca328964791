import type { RunnerShare } from '@/core/naming/groupKey.ts'
import { say } from './say.ts'

/** "of 30 runners, 7 fall in groups that hold an oestrogenic cultivar: 23 %, 95 % interval 12 to 41 %" */
export function sayRunnerShare({ placed, couldHarm, share, interval }: RunnerShare): string {
  const pc = (x: number) => Math.round(100 * x)
  return say(
    'of {{placed}} runners, {{couldHarm}} fall in groups that hold an oestrogenic cultivar: {{pc}} %, 95 % interval {{pc2}} to {{pc3}} %',
    { placed, couldHarm, pc: pc(share), pc2: pc(interval[0]), pc3: pc(interval[1]) },
  )
}
