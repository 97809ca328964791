/** Gives way once: what was touched meanwhile is heard before the work goes on. */
export const pause = (): Promise<void> => new Promise((done) => setTimeout(done))
