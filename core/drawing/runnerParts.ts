import { brush, circle, closed, smooth, smoothClosed, type Drawing, type Point } from './mark.ts'

const RUNNER: Point[] = [[4, 58], [30, 50], [62, 54], [96, 46]]

/** A runner of subterranean clover, hairy or smooth. */
export function runnerDrawing(hairy: boolean): Drawing {
  const marks: Drawing = [brush(RUNNER, [7, 8, 6]), ...[26, 64].map((x): Drawing[number] => ({ d: circle([x, x < 40 ? 51 : 54], 5.5), ink: 'leafDark' }))]
  if (hairy)
    for (let i = 0; i < 17; i++) {
      const x = 8 + i * 5.2
      marks.push(brush([[x, 47], [x + 1.5, 40], [x + 3.5, 33]], [0.9, 0.8, 0.3]), brush([[x + 2, 59], [x + 3, 66], [x + 5, 72]], [0.9, 0.8, 0.3]))
    }
  return marks
}

/** The flower tube (calyx) with its teeth, with red on it or all green. */
export function calyxDrawing(red: boolean): Drawing {
  const tube: Point[] = [[36, 88], [34, 58], [40, 44], [60, 44], [66, 58], [64, 88]]
  const teeth: Drawing = [30, 40, 50, 60, 70].map((x) => brush([[50 + (x - 50) * 0.45, 46], [x, 26], [x + (x - 50) * 0.35, 8]], [2.2, 1.6, 0.4]))
  return [
    { d: smoothClosed(tube), ink: 'leaf' },
    ...(red ? [{ d: closed([35, 60], [39, 45], [61, 45], [65, 60], [65, 70], [35, 70]), ink: 'purple' as const }] : []),
    { d: smoothClosed(tube), ink: 'line' },
    ...[42, 50, 58].map((x) => ({ d: smooth([[x, 86], [x, 66], [x, 48]]), ink: 'fine' as const })),
    ...teeth,
  ]
}
