import { spawn } from 'node:child_process'
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'

const folder = mkdtempSync(join(tmpdir(), 'fold-sprig-start-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

// The built server where the run has just built it, since that is what is shipped; else the sources.
const program = process.env.SERVER_IS_BUILT ? ['dist-server/main.js'] : ['--import', 'tsx', 'server/main.ts']

/** Starts the server and waits for it to end by itself. */
const start = (env: Record<string, string>) =>
  new Promise<{ code: number | null; said: string }>((resolve) => {
    const server = spawn(process.execPath, program, { env: { ...process.env, PORT: '4177', ...env } })
    let said = ''
    server.stderr.on('data', (d: Buffer) => (said += d.toString()))
    server.once('exit', (code) => resolve({ code, said }))
  })

describe('a start that cannot be', () => {
  it('another address than this machine is refused with the reason', async () => {
    const { code, said } = await start({ HOST: '0.0.0.0', DATA_DIR: join(folder, 'a') })
    expect(code).toBe(1)
    expect(said).toMatch(/would let every machine .* read and change the records/)
  })

  it('with accounts it is refused as long as nobody could come in, and what to do is said', async () => {
    const { code, said } = await start({ HOST: '0.0.0.0', ACCOUNTS: 'on', DEMO: 'off', DATA_DIR: join(folder, 'a') })
    expect(code).toBe(1)
    expect(said).toMatch(/no advisor has an account yet.*npm run account -- add "Your name" advisor/)
    expect((await start({ PROXIES: 'one', DATA_DIR: join(folder, 'a') })).said).toMatch(/PROXIES must be the number/)
  })

  it('a port that is none, and a number of copies that is none, are said', async () => {
    expect((await start({ PORT: 'eighty', DATA_DIR: join(folder, 'b') })).said).toMatch(/PORT must be a number/)
    expect((await start({ COPIES: 'many', DATA_DIR: join(folder, 'b') })).said).toMatch(/COPIES must be a whole number/)
  })

  it('a folder that is no database is left as it is, and the last copy is named with what to do', async () => {
    const data = join(folder, 'c')
    mkdirSync(join(data, 'pg'), { recursive: true })
    mkdirSync(join(data, 'copies'))
    writeFileSync(join(data, 'pg', 'PG_VERSION'), 'nonsense')
    writeFileSync(join(data, 'copies', 'copy-2027-05-04T063000Z.zip'), 'x')
    const { code, said } = await start({ DATA_DIR: data })
    expect(code).toBe(1)
    expect(said).toMatch(/could not be opened/)
    expect(said).toMatch(/npm run restore -- .*copy-2027-05-04T063000Z\.zip --aside/)
    expect(readFileSync(join(data, 'pg', 'PG_VERSION'), 'utf8')).toBe('nonsense')
  })
})
