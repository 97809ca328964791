// What a reader does before a picture is taken.
/** Answer the bench by its keys' words, as a reader would by touching the drawings. */
export async function answers(page, list) {
  // Written in the letters of the device until ours have come; whoever touches something first keeps those.
  await page.waitForFunction(() => !document.documentElement.dataset.letters)
  for (const [look, answer] of list) {
    await page.keyboard.press('/')
    await page.getByRole('textbox', { name: 'Find a plant or a character' }).fill(look)
    await page.keyboard.press('Enter')
    await page.getByRole('button', { name: answer, exact: false }).first().click()
    await page.waitForTimeout(80)
  }
}

/** Stops of twenty points, by keys in turn. */
export async function count(page, stops, keys) {
  for (let s = 0; s < stops; s++) {
    for (let i = 0; i < 20; i++) await page.keyboard.press(keys[(i * 7 + s * 3) % keys.length])
    await page.keyboard.press('Enter')
  }
}

/** Looks at a carrot-like leaf. */
export const carrot = [
  ['Kind of plant', 'broad leaf'],
  ['Leaf outline', 'feathery'],
  ['Smell', 'carroty'],
]
/** Looks at a shoot of tall fescue. */
export const fescue = [
  ['Kind of plant', 'grass'],
  ['Newest leaf', 'rolled'],
  ['Auricles', 'short and blunt'],
  ['Ribs', 'deep ribs'],
  ['Midrib', 'none stands out'],
  ['Base colour', 'purple red'],
]
