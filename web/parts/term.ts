/** A term of the trade that is not a character of the book, in plain words. */
export interface Term {
  id: string
  term: string
  means: string
  /** How it stands in a text, where not as the term is; none where the word has a plain sense as well. */
  written?: string[]
  /** A part of a plant that shows it. */
  drawn?: [character: string, state: string]
}
