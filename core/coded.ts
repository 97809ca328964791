/** A code with its parameters: what leaves the core where something is to be said. Words are made of it in `text/`. */
export interface Coded<C extends string = string> {
  code: C
  values?: Readonly<Record<string, string | number>>
}

export const coded = <C extends string>(code: C, values?: Coded['values']): Coded<C> => ({
  code,
  ...(values ? { values } : {}),
})
