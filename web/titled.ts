/** What the window is called while a screen is open: the handle of its route. */
export interface Titled {
  title: () => string
}

export const titled = (title: () => string): Titled => ({ title })
