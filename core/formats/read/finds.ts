import { coded } from '../../coded.ts'
import type { FilePlace, LeftOut } from '../fileProblem.ts'
import type { Position } from '../../geo/route.ts'

/** One plant that a file says was met at a stop, under the name it has there. */
export interface ReadFind {
  name: string
  amount: number
  /** Pin of a layered point or cell of a grid, from 1. */
  part?: number
}

export interface ReadStop {
  /** What the file calls it. */
  key: string
  position: Position | null
  /** Part of the paddock; empty where none is said. */
  stratum: string
  finds: ReadFind[]
}

/** Something of a file that was not taken in, how often, and where it first stood. */
export interface NotUnderstood {
  what: LeftOut
  times: number
  first: FilePlace
}

/** What a file of finds says, before its names are looked up. */
export interface ReadFinds {
  stops: ReadStop[]
  notUnderstood: NotUnderstood[]
  /** What the file calls the way of counting; empty where it does not say. */
  protocol: string
  /** ISO day; empty where the file does not say. */
  day: string
}

/** Most stops and finds of one file that become a round. */
export const MOST_READ_STOPS = 500
export const MOST_READ_ROWS = 20_000
/** Most that one stop may hold. */
const MOST_AT_A_STOP = 1000

/** Count something left out once more. @param known by what is left out, as text */
export function noteLeftOut(known: Map<string, NotUnderstood>, what: LeftOut, where: FilePlace): void {
  const key = JSON.stringify(what)
  const before = known.get(key)
  if (before) before.times++
  else known.set(key, { what, times: 1, first: where })
}

/** Gathers stops and what was not understood while a file is gone through. */
export class FindsReader {
  private readonly stops = new Map<string, ReadStop>()
  private readonly problems = new Map<string, NotUnderstood>()

  problem(what: LeftOut, where: FilePlace): void {
    noteLeftOut(this.problems, what, where)
  }

  /** The stop of that key; undefined (and said) when there are more than a round holds. */
  stop(key: string, where: FilePlace): ReadStop | undefined {
    const known = this.stops.get(key)
    if (known) return known
    if (this.stops.size >= MOST_READ_STOPS) {
      this.problem(coded('too-many-stops', { MOSTREADSTOPS: MOST_READ_STOPS }), where)
      return undefined
    }
    const stop: ReadStop = { key, position: null, stratum: '', finds: [] }
    this.stops.set(key, stop)
    return stop
  }

  /** A find of a stop, unless its amount is none. */
  find(stop: ReadStop, find: ReadFind, where: FilePlace): void {
    if (!(find.amount > 0)) return this.problem(coded('amount-not-above-0'), where)
    if (stop.finds.length >= MOST_AT_A_STOP)
      return this.problem(coded('too-many-finds-at-a-stop', { MOSTATASTOP: MOST_AT_A_STOP }), where)
    stop.finds.push(find)
  }

  done(protocol: string, day: string): ReadFinds {
    return { stops: [...this.stops.values()], notUnderstood: [...this.problems.values()], protocol, day }
  }
}

/** A number as people write it: a decimal comma is one, a thousands mark is not; undefined where it is none. */
export function readNumber(text: string): number | undefined {
  const plain = text.trim().replace(/^([-+]?\d*),(\d+)$/, '$1.$2')
  if (!/^[-+]?(\d+\.?\d*|\.\d+)([eE][-+]?\d+)?$/.test(plain)) return undefined
  const n = Number(plain)
  return Number.isFinite(n) ? n : undefined
}

/** Longitude and latitude in degrees; undefined where they are none. */
export function readPosition(lon: string, lat: string): Position | undefined {
  const [x, y] = [readNumber(lon), readNumber(lat)]
  return x !== undefined && y !== undefined && Math.abs(x) <= 180 && Math.abs(y) <= 90 ? [x, y] : undefined
}

/** The day of an ISO date or time; empty where it is none. */
export const readDay = (text: string): string => /^\d{4}-\d{2}-\d{2}(?=$|T|\/)/.exec(text.trim())?.[0] ?? ''
