import { told } from '@/contract/told.ts'
import 'reflect-metadata'
import { plainToInstance } from 'class-transformer'
import { getMetadataStorage, validateSync, type ValidationError } from 'class-validator'
import { badRequest } from './httpError.ts'

// The rules of a class do not change once it is loaded, but are gathered anew for each object, which a stop has twenty of.
const rules = getMetadataStorage()
const gathered = rules.getTargetValidationMetadatas.bind(rules)
type Gather = typeof gathered
const known = new Map<Parameters<Gather>[0], ReturnType<Gather>>()
rules.getTargetValidationMetadatas = (target, schema, ...rest) => {
  // We use neither schemas nor groups: the class alone says which rules hold.
  const before = known.get(target) ?? gathered(target, schema, ...rest)
  known.set(target, before)
  return before
}

function firstProblem(errors: ValidationError[], path = ''): { field: string; message: string } | undefined {
  for (const e of errors) {
    const field = /^\d+$/.test(e.property) ? `${path}[${e.property}]` : path ? `${path}.${e.property}` : e.property
    const own = Object.values(e.constraints ?? {})[0]
    if (own) return { field, message: own }
    const inner = firstProblem(e.children ?? [], field)
    if (inner) return inner
  }
  return undefined
}

/** Deeper than anything this server is sent. */
const DEEPEST = 40
/** More names than any record of ours has: a checker walks all of them for each one. */
const MOST_NAMES = 500
const NO_KEYS = new Set(['__proto__', 'constructor', 'prototype'])
/** The database keeps no NUL and no half of a character. */
const isStorable = (text: string): boolean => !text.includes('\0') && !/\p{Surrogate}/u.test(text)

/** How much of a body is looked at: each object costs the thread some 25 microseconds before a rule can refuse it. */
export interface Most {
  objects: number
  values: number
}
const MOST: Most = { objects: 4000, values: 30_000 }

const tooMuch = (field: string) =>
  badRequest(told('The body holds more than anything that is kept here.'), field.slice(0, 60))

/** @throws HttpError 400 what no rule of a class sees: depth, texts that cannot be stored, names that belong to every object, more than is ever sent */
export function checkPlain(value: unknown, field = '', depth = 0, left: Most = { ...MOST }): void {
  if (--left.values < 0) throw tooMuch(field)
  if (typeof value === 'string') {
    if (!isStorable(value)) throw badRequest(told('A text holds a character that cannot be stored.'), field)
    return
  }
  if (typeof value !== 'object' || value === null) return
  if (depth === DEEPEST) throw badRequest(told('The body is nested too deeply.'), field.slice(0, 60))
  const isList = Array.isArray(value)
  if (!isList && --left.objects < 0) throw tooMuch(field)
  const names = Object.keys(value)
  if (!isList && names.length > MOST_NAMES) throw tooMuch(field)
  for (const key of names) {
    const at = isList ? `${field}[${key}]` : field ? `${field}.${key}` : key
    if (NO_KEYS.has(key) || !isStorable(key))
      throw badRequest(told('A name in the body cannot be stored.'), at.slice(0, 60))
    checkPlain((value as Record<string, unknown>)[key], at, depth + 1, left)
  }
}

/**
 * A checked instance of an input class from whatever was sent.
 *
 * @param most of it that is looked at, where a body may be larger than others
 * @throws HttpError 400 naming the field and what is wrong with it
 */
export function parseBody<T extends object>(kind: new () => T, body: unknown, most: Most = MOST): T {
  if (typeof body !== 'object' || body === null || Array.isArray(body))
    throw badRequest(told('The body must be a JSON object.'))
  checkPlain(body, '', 0, { ...most })
  const input = plainToInstance(kind, body)
  const problem = firstProblem(
    validateSync(input, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true }),
  )
  if (problem) throw badRequest(problem.message, problem.field)
  return input
}
