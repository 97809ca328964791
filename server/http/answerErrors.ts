import type { ErrorRequestHandler } from 'express'
import { ConflictError, HttpError } from './httpError.ts'

interface Known {
  status: number
  code: string
  message: string
  field?: string | undefined
}

/** Breaches of the database's own rules are the asker's doing: a missing parent, a value out of range, a bad text. */
const sqlStates: Record<string, Known> = {
  '23503': { status: 400, code: 'invalid', message: 'It belongs to something that is not there.' },
  '23514': { status: 400, code: 'invalid', message: 'A value is out of its range.' },
  '23505': {
    status: 409,
    code: 'conflict',
    message: 'Something else already has this id or place in the order.',
  },
  '22P02': { status: 400, code: 'invalid', message: 'A value is not in the form expected.' },
  '22008': { status: 400, code: 'invalid', message: 'A date is out of range.' },
  '22021': { status: 400, code: 'invalid', message: 'A text holds a character that cannot be stored.' },
}

function known(error: unknown): Known | undefined {
  if (error instanceof HttpError) return error
  const e = error as { type?: string; status?: number; code?: string }
  if (e.type === 'entity.parse.failed') return { status: 400, code: 'invalid', message: 'The body is not JSON.' }
  if (e.type === 'entity.too.large') return { status: 413, code: 'too-large', message: 'The body is too large.' }
  if (typeof e.status === 'number' && e.status >= 400 && e.status < 500)
    return { status: e.status, code: 'invalid', message: 'The request could not be read.' }
  return e.code ? sqlStates[e.code] : undefined
}

export function answerErrors(log: (error: unknown) => void): ErrorRequestHandler {
  return (error: unknown, _req, res, next) => {
    if (res.headersSent) return next(error)
    const said = known(error)
    if (!said) log(error)
    const { status, code, message, field } = said ?? {
      status: 500,
      code: 'internal',
      message: 'Something went wrong here. What you sent was not saved.',
    }
    const theirs = error instanceof ConflictError ? { theirs: error.theirs } : {}
    res.status(status).json({ error: { code, message, ...(field ? { field } : {}), ...theirs } })
  }
}
