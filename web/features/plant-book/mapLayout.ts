import { forceCollide, forceLink, forceSimulation, forceX, forceY, type SimulationNodeDatum } from 'd3-force'
import type { Plant } from '@/core/flora/flora.ts'
import type { Neighbour } from '@/core/naming/compare.ts'

/** Width and height of the map. */
export const [WIDE, HIGH] = [1100, 760]

/** Where a plant lies on the map. */
export interface Spot extends SimulationNodeDatum {
  id: string
  x: number
  y: number
}

/** Places near one another for plants that are easily confused; the same book always gives the same map. */
export function lay(plants: Plant[], near: Map<string, Neighbour[]>): Map<string, Spot> {
  const spots: Spot[] = plants.map((p, i) => ({
    id: p.id,
    x: WIDE / 2 + 260 * Math.cos(i * 2.4) * Math.sqrt(i / plants.length),
    y: HIGH / 2 + 200 * Math.sin(i * 2.4) * Math.sqrt(i / plants.length),
  }))
  const here = new Set(plants.map((p) => p.id))
  const links = plants.flatMap((p) =>
    (near.get(p.id) ?? [])
      .filter((n) => here.has(n.plant))
      .slice(0, 3)
      .map((n) => ({ source: p.id, target: n.plant, distance: n.distance })),
  )
  const room = Math.sqrt((WIDE * HIGH) / plants.length)
  forceSimulation(spots)
    .force(
      'link',
      forceLink<Spot, { source: string | Spot; target: string | Spot; distance: number }>(links)
        .id((s) => s.id)
        .distance((l) => room * (0.35 + 0.09 * l.distance))
        .strength(0.7),
    )
    .force('apart', forceCollide<Spot>(room * 0.46))
    .force('x', forceX<Spot>(WIDE / 2).strength(0.03))
    .force('y', forceY<Spot>(HIGH / 2).strength(0.045))
    .stop()
    .tick(320)
  const margin = 90
  const [x0, x1] = [Math.min(...spots.map((s) => s.x)), Math.max(...spots.map((s) => s.x))]
  const [y0, y1] = [Math.min(...spots.map((s) => s.y)), Math.max(...spots.map((s) => s.y))]
  for (const s of spots) {
    s.x = margin + ((s.x - x0) / (x1 - x0 || 1)) * (WIDE - 2 * margin)
    s.y = 24 + ((s.y - y0) / (y1 - y0 || 1)) * (HIGH - 56)
  }
  return new Map(spots.map((s) => [s.id, s]))
}

/** Names that can stand without lying over one another, below or above their plant; those that must stand come first. */
export function labelled(spots: Spot[], first: Set<string>, names: Map<string, string>): Map<string, number> {
  const taken: { x: number; y: number; w: number }[] = []
  const out = new Map<string, number>()
  for (const s of [...spots].sort((a, b) => Number(first.has(b.id)) - Number(first.has(a.id)))) {
    const w = names.get(s.id)!.length * 7.6 + 6
    const free = (y: number) => !taken.some((t) => Math.abs(t.y - y) < 17 && Math.abs(t.x - s.x) < (t.w + w) / 2)
    const y = [s.y + 21, s.y - 12].find(free)
    if (y === undefined) continue
    taken.push({ x: s.x, y, w })
    out.set(s.id, y)
  }
  return out
}
