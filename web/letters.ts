/**
 * A first visit is written in the letters of the device until its own have come, after all that says something. They are
 * as wide and as high as ours, but a line that just fits breaks in one and not in the other: whoever has touched or typed
 * something by then keeps those of the device until the next screen, so that nothing moves under the hand.
 */
let touched = false
let here = false

const root = document.documentElement
const INPUTS = ['pointerdown', 'keydown'] as const

export function lettersLater(): void {
  root.dataset.letters = 'later'
  const touch = () => {
    touched = true
    for (const kind of INPUTS) removeEventListener(kind, touch, true)
  }
  for (const kind of INPUTS) addEventListener(kind, touch, true)
}

/** They are there. */
export function lettersHere(): void {
  here = true
  if (!touched) delete root.dataset.letters
}

/** Another screen is drawn: what moves now moves anyway. */
export function screenChanged(): void {
  if (here) delete root.dataset.letters
}
