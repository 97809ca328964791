import { loadFlora } from '../server/flora/loadFlora.ts'

// The book as data, for scripts that are not built with it.
process.stdout.write(JSON.stringify(loadFlora().plants))
