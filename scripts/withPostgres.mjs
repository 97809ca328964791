// Starts a PostgreSQL server of its own on loopback for as long as a command runs, where Debian's packages are installed.
import { spawnSync } from 'node:child_process'
import { chownSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const ROOT = '/usr/lib/postgresql'

/** Folder of the newest installed programs, if any. */
function programs() {
  if (!existsSync(ROOT)) return undefined
  const versions = readdirSync(ROOT).sort((a, b) => Number(b) - Number(a))
  return versions.map((v) => join(ROOT, v, 'bin')).find((bin) => existsSync(join(bin, 'initdb')))
}

/** The server refuses to run as root: then it runs as the user that its package made. */
function runAs() {
  if (process.getuid?.() !== 0) return {}
  const line = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find((l) => l.startsWith('postgres:'))
  if (!line) return undefined
  const [, , uid, gid] = line.split(':')
  return { uid: Number(uid), gid: Number(gid) }
}

const freePort = () =>
  new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => resolve(port))
    })
  })

/**
 * @param work gets the address of the server; what it returns is returned
 * @returns undefined where no PostgreSQL is installed
 */
export async function withPostgres(work) {
  const bin = programs()
  const user = runAs()
  if (!bin || !user) return undefined
  const dir = mkdtempSync(join(tmpdir(), 'fold-sprig-postgres-'))
  if (user.uid) chownSync(dir, user.uid, user.gid)
  const data = join(dir, 'data')
  const run = (name, args) => {
    const { status, stderr } = spawnSync(join(bin, name), args, { ...user, cwd: dir, encoding: 'utf8', stdio: ['ignore', 'ignore', 'pipe'] }) // prettier-ignore
    if (status !== 0) throw new Error(`${name} failed: ${stderr}`)
  }
  try {
    run('initdb', ['-D', data, '-U', 'postgres', '-A', 'trust', '-E', 'UTF8', '--no-sync'])
    const port = await freePort()
    // Nothing of a test needs to outlive a power cut.
    const options = `-p ${port} -h 127.0.0.1 -k ${dir} -F`
    run('pg_ctl', ['-D', data, '-l', join(dir, 'log'), '-o', options, '-w', 'start'])
    try {
      return await work(`postgres://postgres@127.0.0.1:${port}`)
    } finally {
      run('pg_ctl', ['-D', data, '-m', 'immediate', 'stop'])
    }
  } finally {
    rmSync(dir, { recursive: true, force: true })
  }
}
