/** The words of what may have been said: the one text that a browser gives beside how sure it is, a number. */
export function heardWords(heard: object | undefined): string {
  // What a browser gives stands on its kind, not on the thing itself.
  for (const key in heard) {
    const value: unknown = heard[key as keyof typeof heard]
    if (typeof value === 'string') return value
  }
  return ''
}
