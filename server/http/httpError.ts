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

export const badRequest = (message: string, field?: string) => new HttpError(400, 'invalid', message, field)
export const notFound = (what: string) => new HttpError(404, 'not-found', `There is no such ${what}.`)
