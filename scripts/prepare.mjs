// Sets up what a command needs, and only when something changed: packages, and with --build the built pages and server.
import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = dirname(dirname(fileURLToPath(import.meta.url)))
const at = (...parts) => join(root, ...parts)

export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options })
  return done.status ?? 1
}

function filesUnder(path) {
  if (!existsSync(path)) return []
  if (statSync(path).isFile()) return [path]
  return readdirSync(path, { recursive: true, withFileTypes: true })
    .filter((f) => f.isFile())
    .map((f) => join(f.parentPath, f.name))
    .sort()
}

function hashOf(paths, salt) {
  const hash = createHash('sha1').update(salt)
  for (const file of paths.flatMap((p) => filesUnder(at(p)))) hash.update(file).update(readFileSync(file))
  return hash.digest('hex')
}

/** Run a step when its inputs changed since it last succeeded. */
function whenChanged(stamp, hash, step) {
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === hash) return
  rmSync(stamp, { force: true })
  step()
  mkdirSync(dirname(stamp), { recursive: true })
  writeFileSync(stamp, hash)
}

function must(what, command, args) {
  if (run(command, args) === 0) return
  console.error(`${what} failed; see the lines above.`)
  process.exit(1)
}

export function installPackages() {
  if (Number(process.versions.node.split('.')[0]) < 20) {
    console.error(`Node 20 or newer is needed; this is ${process.versions.node}.`)
    process.exit(1)
  }
  const salt = `${process.platform} ${process.arch} ${process.versions.modules}`
  whenChanged(at('node_modules/.fold-sprig-lock'), hashOf(['package-lock.json'], salt), () => {
    console.log('Installing packages (only when the list of them changed) ...')
    must('Installing', 'npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'])
    must('Laying out an empty database', process.execPath, ['--import', 'tsx', 'server/cli/layOutEmpty.ts'])
  })
}

export function build() {
  const inputs = [
    'index.html',
    'vite.config.ts',
    'scripts/serviceWorker.ts',
    'scripts/precompress.ts',
    'scripts/preloadStart.ts',
    'scripts/openings.ts',
    'vite.server.config.ts',
    'tsconfig.json',
    'web',
    'core',
    'text',
    'contract',
    'server',
    'flora',
    'public',
    'package-lock.json',
  ]
  whenChanged(at('dist-server/.stamp'), hashOf(inputs, process.version), () => {
    console.log('Checking the flora and building ...')
    must('The flora check', process.execPath, ['--import', 'tsx', 'server/cli/checkFlora.ts'])
    const vite = at('node_modules/vite/bin/vite.js')
    must('Building the pages', process.execPath, [vite, 'build', '--logLevel', 'warn'])
    must('Building the server', process.execPath, [vite, 'build', '-c', 'vite.server.config.ts', '--logLevel', 'warn'])
  })
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  installPackages()
  if (process.argv.includes('--build')) build()
}
