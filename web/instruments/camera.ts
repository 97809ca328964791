import { randomLcg, randomNormal } from 'd3-random'

/** A painted frame from above, standing in for a camera where there is none: leaves, clover-like leaves, litter on bare ground. Called simulated wherever it is used. */
export async function simulatedFramePicture(seed: number): Promise<Blob> {
  const random = randomLcg(seed)
  const normal = randomNormal.source(random)(0, 1)
  const side = 900
  const canvas = document.createElement('canvas')
  canvas.width = canvas.height = side
  const c = canvas.getContext('2d')!
  c.fillStyle = '#7c624a'
  c.fillRect(0, 0, side, side)
  const patch = (colour: string, wide: number) => {
    const [x, y, r] = [random() * side, random() * side, side * (0.02 + 0.05 * random())]
    c.fillStyle = colour
    c.beginPath()
    c.ellipse(x, y, r, r * wide, random() * Math.PI, 0, 2 * Math.PI)
    c.fill()
  }
  for (let i = 0; i < 90; i++) patch('#baaa80', 0.2)
  for (let i = 0; i < 260; i++) patch(`hsl(${88 + 6 * normal()} 44% ${34 + 5 * normal()}%)`, 0.16)
  for (let i = 0; i < 70; i++) patch(`hsl(${128 + 5 * normal()} 30% ${36 + 4 * normal()}%)`, 0.7)
  // The frame itself, laid askew.
  c.strokeStyle = '#f2efe6'
  c.lineWidth = 14
  c.beginPath()
  for (const [x, y] of [[96, 120], [806, 84], [842, 800], [62, 830]] as const) c.lineTo(x, y) // prettier-ignore
  c.closePath()
  c.stroke()
  return new Promise((done, failed) =>
    canvas.toBlob((b) => (b ? done(b) : failed(new Error('no picture'))), 'image/jpeg', 0.9),
  )
}
