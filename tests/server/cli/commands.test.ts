import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { accountFor } from '@/server/access/accounts.ts'
import { openDb } from '@/server/db/db.ts'
import { projectRoot } from '@/server/projectRoot.ts'

const folder = mkdtempSync(join(tmpdir(), 'fold-sprig-cli-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

// The built commands where the run has just built them, which start in a fifth of the time; else the sources.
const program = (script: string) =>
  process.env.SERVER_IS_BUILT ? [`dist-server/cli/${script}.js`] : ['--import', 'tsx', `server/cli/${script}.ts`]

const run = (script: string, args: string[], input = '', env: Record<string, string> = {}) =>
  spawnSync(process.execPath, [...program(script), ...args], {
    cwd: projectRoot,
    input,
    encoding: 'utf8',
    env: { ...process.env, ...env },
  })

const body = {
  observations: [
    { character: 'ligule.type', states: ['absent'] },
    { character: 'life.form', states: ['grass'] },
  ],
}

describe('identify from the command line', () => {
  it('a body on standard input gives an answer', () => {
    const { status, stdout } = run('identify', ['-'], JSON.stringify(body))
    expect(status).toBe(0)
    expect((JSON.parse(stdout) as { candidates: { plant: string }[] }).candidates[0]!.plant).toBe('barnyardgrass')
  })

  it('a file with several bodies gives as many answers, a bad one its error in place', () => {
    const file = join(folder, 'bodies.json')
    writeFileSync(file, JSON.stringify([body, { context: { month: 99 } }]))
    const { status, stdout } = run('identify', [file])
    const answers = JSON.parse(stdout) as [{ candidates: unknown[] }, { error: { field: string } }]
    expect(status).toBe(1)
    expect(answers[0].candidates.length).toBeGreaterThan(30)
    expect(answers[1].error.field).toBe('context.month')
  })

  it('says what to do when no file is named or the file is not JSON', () => {
    expect(run('identify', []).stderr).toMatch(/npm run -s identify -- file\.json/)
    const { status, stderr } = run('identify', ['-'], 'not json')
    expect(status).toBe(2)
    expect(stderr).toMatch(/Could not read/)
  })
})

describe('importing from the command line', () => {
  it('loads the dune table into the data folder, and says which table there is otherwise', () => {
    const { status, stdout } = run('import', ['dune'], '', { DATA_DIR: join(folder, 'data') })
    expect(status).toBe(0)
    expect(stdout).toMatch(/20 plots of 30 species/)
    expect(run('import', ['heath']).stderr).toMatch(/npm run import -- dune/)
  })
})

describe('accounts from the command line', () => {
  const DATA_DIR = join(folder, 'team')
  const account = (...args: string[]) => run('account', args, '', { DATA_DIR })
  const passwordIn = (text: string) => /: ((?:[a-z2-9]{4}-){4}[a-z2-9]{4})\s*$/.exec(text)?.[1]

  it('the first advisor is made with a password that is shown once and is known afterwards', async () => {
    const { status, stdout } = account('add', 'Odile Marrow', 'advisor')
    expect(status).toBe(0)
    expect(stdout).toMatch(/^Odile Marrow may come in as advisor\. Password, shown this once: /)
    const first = passwordIn(stdout)!
    const again = account('reset', 'odile marrow').stdout
    expect(again).toMatch(/signed out everywhere/)
    expect(passwordIn(again)).not.toBe(first)
    const db = await openDb({ dataDir: join(DATA_DIR, 'pg') })
    try {
      expect(await accountFor(db, 'Odile Marrow', first)).toBeUndefined()
      expect(await accountFor(db, 'Odile Marrow', passwordIn(again)!)).toMatchObject({ role: 'advisor' })
    } finally {
      await db.close()
    }
  })

  it('a role that is none and a name nobody has are said; the list shows who is closed', () => {
    expect(account('add', 'Tam Rushford', 'owner').stderr).toMatch(/npm run account -- add "Name" advisor/)
    expect(account('close', 'Nobody')).toMatchObject({ status: 1, stderr: 'There is no account named Nobody.\n' })
    expect(account('close', 'Odile Marrow').status).toBe(0)
    expect(account('list').stdout).toBe('Odile Marrow · advisor · closed\n')
  })
})
