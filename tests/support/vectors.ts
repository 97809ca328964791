import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect } from 'vitest'

export interface VectorCase<I, E> {
  id: string
  fn: string
  input: I
  expected: E
  call: string
  tol: { rel: number; abs: number }
}

interface VectorFile {
  datasets?: Record<string, { plots: string[]; species: { code: string; name: string }[]; cover: number[][] }>
  cases: VectorCase<unknown, unknown>[]
}

export function vectorFile(name: string): VectorFile {
  return JSON.parse(readFileSync(join(import.meta.dirname, '../reference', `${name}.json`), 'utf8')) as VectorFile
}

/** Cases of one function, as R computed them. */
export function cases<I, E>(file: string, fn: string): VectorCase<I, E>[] {
  const list = vectorFile(file).cases.filter((c) => c.fn === fn) as VectorCase<I, E>[]
  expect(list.length, `${file}.json holds cases of ${fn}`).toBeGreaterThan(0)
  return list
}

/** Within the case's own tolerance. */
export function expectNear(got: number, expected: number, tol: { rel: number; abs: number }, what = ''): void {
  const allowed = Math.max(tol.abs, tol.rel * Math.abs(expected))
  expect(Math.abs(got - expected), `${what}: got ${got}, R gives ${expected}`).toBeLessThanOrEqual(allowed)
}
