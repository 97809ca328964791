import { pino, stdTimeFunctions, type Logger } from 'pino'

/**
 * A line of JSON for what went wrong: when, how badly, the error, and where a request has one its id, method and route.
 * Nobody's name, address or text is in it: a route is told by its pattern, an error of the database without its values.
 */
export const makeLogger = (level: string): Logger =>
  pino({ level, base: null, timestamp: stdTimeFunctions.isoTime }, pino.destination({ dest: 2, sync: true }))

/** What went wrong, and of which request. */
export type Log = (error: unknown, of?: { request: string; method: string; route: string }) => void

export const logOf =
  (logger: Logger): Log =>
  (error, of) =>
    logger.error({ ...of, err: error instanceof Error ? error : new Error(String(error)) })
