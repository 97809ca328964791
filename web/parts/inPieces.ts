import { pause } from '../pause.ts'

/** Longest time that is reckoned at a stretch. */
const PIECE_MS = 8

/** Takes steps one after the other, a touch being heard between them. */
export async function inPieces(steps: readonly (() => unknown)[]): Promise<void> {
  let since = performance.now()
  for (const step of steps) {
    if (performance.now() - since > PIECE_MS) {
      await pause()
      since = performance.now()
    }
    step()
  }
}
