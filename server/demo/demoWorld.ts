import { demoGrazed } from './demoGrazed.ts'
import { demoOther } from './demoOther.ts'
import type { DemoPlace } from './demoPlace.ts'

/** The holdings of the Tarrow valley. */
export const demoWorld: DemoPlace[] = [...demoGrazed, ...demoOther]
