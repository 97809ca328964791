// Each floor with what it has at hand: no window in the core or the server, no server in the core. By the compiler that is
// itself compiled, a fifth of the time; the walls and the search for texts need the other one's interface.
import { join } from 'node:path'
import { root, run } from './prepare.mjs'

const tsc = join(root, 'node_modules/typescript-native/bin/tsc')
const failed = ['tsconfig.json', 'tsconfig.core.json', 'tsconfig.server.json'].filter(
  (project) => run(process.execPath, [tsc, '--noEmit', '-p', project]) !== 0,
)
process.exit(failed.length === 0 ? 0 : 1)
