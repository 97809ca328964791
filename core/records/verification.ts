/** A name looked at again when the plant was in flower. */
export interface Verification {
  namingId: string
  /** ISO day. */
  checkedOn: string
  /** What it was: a plant of the book, or `other` for one that is not in it. */
  was: string
  note: string
}
