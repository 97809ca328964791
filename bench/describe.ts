import { describe } from '@/core/describe/describe.ts'
import { loadFlora } from '../server/flora/loadFlora.ts'
import { loadWords } from '../server/describe/loadWords.ts'

/** How long a description takes to be read, and the longest text that is. */
const TEXT =
  "Bunch grass, kind of blue-green, stems flat as a ruler, no claws that I can see, ligule maybe an eighth of an inch, pretty sure it's rolled ... no wait, folded. Two of the three I pulled were purple at the base."
const started = performance.now()
const vocabulary = loadWords(loadFlora(), 'en')
console.log(`vocabulary ready after ${(performance.now() - started).toFixed(0)} ms (the book read with it)`)
for (let i = 0; i < 100; i++) describe(vocabulary, TEXT)
const times = Array.from({ length: 500 }, () => {
  const start = performance.now()
  describe(vocabulary, TEXT)
  return performance.now() - start
}).sort((a, b) => a - b)
console.log(`one description: ${times[250]!.toFixed(2)} ms in the middle, ${times[475]!.toFixed(2)} ms 95 in 100`)
const long = performance.now()
describe(vocabulary, 'hairy leaf or stem, '.repeat(6000))
console.log(`120,000 letters: ${(performance.now() - long).toFixed(0)} ms`)
