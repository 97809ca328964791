import { told } from '@/contract/told.ts'
import type { ErrorRequestHandler, Request } from 'express'
import { randomUUID } from 'node:crypto'
import { DatabaseStopped } from '../db/connection.ts'
import { ConflictError, HttpError } from './httpError.ts'
import type { Log } from '../logger.ts'

interface Known {
  status: number
  code: string
  message: string
  field?: string | undefined
}

/** Breaches of the database's own rules are the asker's doing: a missing parent, a value out of range, a bad text. */
const sqlStates: Record<string, Known> = {
  '23503': { status: 400, code: 'invalid', message: told('It belongs to something that is not there.') },
  '23514': { status: 400, code: 'invalid', message: told('A value is out of its range.') },
  '23505': {
    status: 409,
    code: 'conflict',
    message: told('Something else already has this id or place in the order.'),
  },
  '53100': {
    status: 507,
    code: 'disk-full',
    message: told('The disk of the server is full: what you sent was not saved there. Keep it until there is room.'),
  },
  '22P02': { status: 400, code: 'invalid', message: told('A value is not in the form expected.') },
  '22008': { status: 400, code: 'invalid', message: told('A date is out of range.') },
  '22P05': { status: 400, code: 'invalid', message: told('A text holds a character that cannot be stored.') },
  '22021': { status: 400, code: 'invalid', message: told('A text holds a character that cannot be stored.') },
}

function known(error: unknown): Known | undefined {
  if (error instanceof HttpError) return error
  const e = error as { type?: string; status?: number; code?: string }
  if (e.type === 'entity.parse.failed') return { status: 400, code: 'invalid', message: told('The body is not JSON.') }
  if (e.type === 'entity.too.large') return { status: 413, code: 'too-large', message: told('The body is too large.') }
  if (typeof e.status === 'number' && e.status >= 400 && e.status < 500)
    return { status: e.status, code: 'invalid', message: told('The request could not be read.') }
  if (error instanceof DatabaseStopped)
    return {
      status: 503,
      code: 'database-stopped',
      message: told('The database of the server has stopped and is opened again. What you sent was not saved there.'),
    }
  return e.code ? sqlStates[e.code] : undefined
}

/** An error of the database carries the values it was asked with: what people wrote has no place in a log. */
function withoutValues(error: unknown): unknown {
  if (!(error instanceof Error) || !('params' in error)) return error
  const { message, stack, code, routine, query } = error as Error & Record<string, unknown>
  return Object.assign(new Error(message), { stack, code, routine, query })
}

const READS = new Set(['GET', 'HEAD'])
/** What somebody typed comes back in an answer, but not all of it. */
const cut = (text: string, most: number) => (text.length > most ? `${text.slice(0, most)} …` : text)

/** Where it went wrong, by the pattern of the route: an address may hold somebody's link. */
const routeOf = (req: Request): string => `${req.baseUrl}${(req.route as { path?: string } | undefined)?.path ?? ''}`

/** What went wrong as an answer; of what is our own doing the log has a line, under an id that the answer tells. */
export function errorHandler(log: Log): ErrorRequestHandler {
  return (error: unknown, req, res, next) => {
    if (res.headersSent) return next(error)
    const said = known(error)
    const request = !said || said.status >= 500 ? randomUUID() : undefined
    if (request) log(withoutValues(error), { request, method: req.method, route: routeOf(req) })
    const { status, code, message, field } = said ?? {
      status: 500,
      code: 'internal',
      message: READS.has(req.method)
        ? told('Something went wrong here, so this could not be read.')
        : told('Something went wrong here. What you sent was not saved.'),
    }
    const theirs = error instanceof ConflictError ? { theirs: error.theirs } : {}
    res.status(status).json({
      error: {
        code,
        message: cut(message, 500),
        ...(field ? { field: cut(field, 100) } : {}),
        ...(request ? { request } : {}),
        ...theirs,
      },
    })
  }
}
