import { demoGrazed } from './demoGrazed.ts'
import { demoOther } from './demoOther.ts'
import type { DemoPlace } from './demoPlace.ts'
import { demoSouth } from './demoSouth.ts'

/** The holdings of the Tarrow valley, and one of the Harrowgum valley. */
export const demoWorld: DemoPlace[] = [...demoGrazed, ...demoOther, ...demoSouth]
