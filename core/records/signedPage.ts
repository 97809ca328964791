/** A name that an advisor put to the pages of a round. */
export interface Signature {
  id: string
  roundId: string
  /** Counts the issues of a round's pages from 1; a correction is a further one. */
  issue: number
  signedBy: string
  /** ISO time. */
  signedAt: string
  /** SHA-256 of all that the pages were worked out from, hexadecimal: another one means that something changed since. */
  factsHash: string
  /** SHA-256 of the page with noughts where the hash stands, hexadecimal. */
  hash: string
}

/** The pages as they were signed. */
export interface SignedPage extends Signature {
  /** One HTML file with everything in it. */
  page: string
}

/** Stands in a page where its hash will be. */
export const HASH_PLACE = '0'.repeat(64)

/** The page that a hash is taken of: with noughts in the place of the hash. */
export const beforeHash = (page: string, hash: string): string => page.replace(hash, HASH_PLACE)
