/** What the asker did wrong: answered with its status and one shape, `{error: {code, message, field?}}`. */
export class HttpError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly field?: string,
  ) {
    super(message)
  }
}

/** Somebody else wrote first: what stands there is sent along, so that both can be shown. */
export class ConflictError extends HttpError {
  constructor(
    message: string,
    readonly theirs: unknown,
  ) {
    super(409, 'conflict', message)
  }
}

export const badRequest = (message: string, field?: string) => new HttpError(400, 'invalid', message, field)
export const notFound = (what: string) => new HttpError(404, 'not-found', `There is no such ${what}.`)
