// Runs PGlite in a thread of its own, so that a slow query holds up no other request.
import { parentPort, workerData } from 'node:worker_threads'
import { openPglite } from './pglite.ts'
import { preparedStatements } from './preparedStatements.ts'

/** One thing to do; `close` ends the thread. */
export interface Ask {
  id: number
  op: 'query' | 'exec' | 'close'
  text?: string
  params?: unknown[]
}

/** What came of it. An error goes as its fields: as an object it would lose its code on the way. */
export type Answer = { id: number } & ({ rows: unknown[] } | { error: Record<string, unknown> })

const port = parentPort!
const fieldsOf = (e: unknown) => ({ ...(e as object), message: (e as Error).message, name: (e as Error).name })
const say = (answer: Answer) => port.postMessage(answer)

const { dataDir } = workerData as { dataDir: string }
const opening = openPglite(dataDir).then((lite) => ({ lite, run: preparedStatements(lite) }))
opening.then(
  () => say({ id: 0, rows: [] }),
  (e: unknown) => say({ id: 0, error: fieldsOf(e) }),
)

async function answer({ id, op, text, params }: Ask): Promise<void> {
  const { lite, run } = await opening
  if (op === 'query') return say({ id, rows: await run(text!, params) })
  if (op === 'exec') await lite.exec(text!)
  else await lite.close()
  say({ id, rows: [] })
  if (op === 'close') port.close()
}

/** After these the database does not go on: on a full disk it could not write its log. It is opened anew, in a new thread. */
const ENDED = new Set(['PANIC', 'FATAL'])

port.on('message', (ask: Ask) => {
  answer(ask).catch((e: unknown) => {
    const error: Record<string, unknown> = fieldsOf(e)
    say({ id: ask.id, error })
    if (ENDED.has(String(error.severity))) process.exit(1)
  })
})
