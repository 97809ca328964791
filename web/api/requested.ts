/**
 * Records that this page has asked the server for. One that was asked for is not asked for ahead any more: what had come
 * ahead and was not wanted then would be taken for the answer to a later question.
 */
export const requested = new Set<string>()
