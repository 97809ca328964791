import type { NormalsProblem } from '@/core/assess/season/readNormals.ts'
import type { Filler } from '@/core/assess/season/year.ts'
import { say } from './say.ts'

const fillers: Record<Filler, () => string> = {
  'warm-season-annual': () => say('a warm-season annual on ground of its own'),
  'saved-from-late-summer': () => say('ground saved from late summer on'),
  'cool-season-annual': () => say('a cereal or ryegrass sown in early autumn'),
  hay: () => say('hay'),
}
/** What could feed stock while a sward does not. */
export const fillerWords = (filler: Filler): string => fillers[filler]()

/** What is wrong with a file of monthly means. */
export function normalsProblemWords(problem: NormalsProblem): string {
  if (problem.code === 'no-column')
    return problem.column === 'temperature'
      ? say('No column of temperatures was found: its name should hold "temp" or "mean".')
      : say('No column of rain was found: its name should hold "rain", "precip" or "mm".')
  if (problem.code === 'not-twelve')
    return say('There are {{rows}} rows below the names; twelve months are needed, January first.', {
      rows: problem.rows,
    })
  if (problem.code === 'not-a-number')
    return say('Row {{row}} holds "{{cell}}", which is no number.', {
      row: problem.row,
      cell: problem.cell.slice(0, 40),
    })
  return say('A figure lies outside what a month can have: means from -60 to 50 degrees, rain from 0 to 2000 mm.')
}
