import { checkWords } from '../describe/checkWords.ts'
import { floraFolder, readFlora, sayProblem } from '../flora/loadFlora.ts'

const { flora, problems } = readFlora(process.argv[2] ?? floraFolder)
const words = checkWords(flora.characters)
for (const p of problems) console.error(sayProblem(p))
for (const p of words) console.error(`flora/${p}`)
if (problems.length + words.length > 0) {
  console.error(`${problems.length + words.length} to mend`)
  process.exit(1)
}
const cells = flora.plants.reduce((n, p) => n + Object.keys(p.characters).length, 0)
console.log(`${flora.plants.length} plants, ${flora.characters.length} characters, ${cells} cells: nothing to mend`)
