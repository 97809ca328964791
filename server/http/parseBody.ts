import 'reflect-metadata'
import { plainToInstance } from 'class-transformer'
import { validateSync, type ValidationError } from 'class-validator'
import { badRequest } from './httpError.ts'

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

/**
 * A checked instance of an input class from whatever was sent.
 *
 * @throws HttpError 400 naming the field and what is wrong with it
 */
export function parseBody<T extends object>(kind: new () => T, body: unknown): T {
  if (typeof body !== 'object' || body === null || Array.isArray(body))
    throw badRequest('The body must be a JSON object.')
  const input = plainToInstance(kind, body)
  const problem = firstProblem(
    validateSync(input, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true }),
  )
  if (problem) throw badRequest(problem.message, problem.field)
  return input
}
