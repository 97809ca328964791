import { parse, protocol, type PGlite } from '@electric-sql/pglite'

const { serialize } = protocol

/** Texts that are kept planned; further ones are planned each time, as a value written into a text would make endless ones. */
const MOST = 500

/**
 * PGlite as shipped plans each statement anew, in five exchanges; for most of ours that is three quarters of the time.
 * Here each text is planned once and then run in one exchange.
 *
 * @returns runs one statement and gives its rows
 */
export function preparedStatements(lite: PGlite): (text: string, params?: unknown[]) => Promise<unknown[]> {
  const plans = new Map<string, Promise<{ name: string; types: number[] }>>()
  let lastName = 0
  const exchange = (...parts: Uint8Array[]) =>
    lite.runExclusive(async () => (await lite.execProtocol(Buffer.concat([...parts, serialize.sync()]))).messages)

  const plan = async (text: string) => {
    const name = `plan ${++lastName}`
    const said = await exchange(serialize.parse({ name, text }), serialize.describe({ type: 'S', name }))
    return { name, types: parse.parseDescribeStatementResults(said) }
  }
  const planOf = (text: string) => {
    const known = plans.get(text)
    if (known) return known
    const made = plan(text)
    plans.set(text, made)
    made.catch(() => plans.delete(text))
    return made
  }

  return async (text, params = []) => {
    if (plans.size >= MOST && !plans.has(text)) return (await lite.query(text, params)).rows
    const { name, types } = await planOf(text)
    const asText = (value: unknown, type = 0): string =>
      (lite.serializers[type] as ((v: unknown) => string) | undefined)?.(value) ?? String(value)
    const values = params.map((value, i) => (value === null || value === undefined ? null : asText(value, types[i])))
    const said = await exchange(
      serialize.bind({ statement: name, values }),
      serialize.describe({ type: 'P' }),
      serialize.execute({}),
    )
    return parse.parseResults(said, lite.parsers)[0]!.rows
  }
}
