/** A sentence that is sent as it stands and looked up where it arrives, in the reader's language. */
export const told = (sentence: string): string => sentence
