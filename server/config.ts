import { cleanEnv, EnvError, makeValidator, str } from 'envalid'
import { join } from 'node:path'

/** What the server and its commands are told by their surroundings, read and checked once. */
export interface Config {
  port: number
  host: string
  /** Folder of the data: the embedded database, its lock and the daily copies. */
  dataDir: string
  /** Folder of the embedded database. */
  pgDir: string
  /** Folder of the daily copies. */
  copiesDir: string
  /** A PostgreSQL server in place of the embedded database. */
  databaseUrl: string | undefined
  /** Daily copies that are kept; 0: none is made. */
  copies: number
  /** Others may come in, each with a name and a password. */
  accounts: boolean
  /** Proxies in front, by whose word an address is believed. */
  proxies: number
  demo: boolean
  logLevel: string
}

const whole = (name: string, what: string, least: number, most = Infinity) =>
  makeValidator((text) => {
    const n = Number(text)
    if (text.trim() === '' || !Number.isInteger(n) || n < least || n > most)
      throw new EnvError(`${name} must be ${what}, not ${text}`)
    return n
  })
/** Who may come in hangs on it: what is neither is not taken for the open door. */
const onOrOff = makeValidator((text) => {
  if (text === '') return false
  if (text !== 'on' && text !== 'off') throw new EnvError(`ACCOUNTS must be on or off, not ${text}`)
  return text === 'on'
})
const notOff = makeValidator((text) => text !== 'off')

const LEVELS = ['fatal', 'error', 'warn', 'info', 'debug', 'trace', 'silent']

const settings = {
  PORT: whole('PORT', 'a number from 1 to 65535', 1, 65_535)({ default: 4170 }),
  HOST: str({ default: '127.0.0.1' }),
  DATA_DIR: str({ default: './data' }),
  DATABASE_URL: str({ default: undefined }),
  COPIES: whole('COPIES', 'a whole number', 0)({ default: 14 }),
  ACCOUNTS: onOrOff({ default: false }),
  PROXIES: whole('PROXIES', 'the number of proxies in front', 0)({ default: 0 }),
  DEMO: notOff({ default: true }),
  LOG_LEVEL: str({ default: 'error', choices: LEVELS }),
}

/** Addresses that only this machine reaches. */
const LOOPBACK = new Set(['127.0.0.1', '::1', 'localhost'])
export const onlyHere = (host: string): boolean => LOOPBACK.has(host)

/**
 * @param env as the process has it
 * @throws Error with a line for each setting that cannot be, in the words of whoever set it
 */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const read = cleanEnv(env, settings, {
    reporter: ({ errors }) => {
      const said = Object.values(errors).map((e) => e.message)
      if (said.length > 0) throw new Error(said.join('\n'))
    },
  })
  return {
    port: read.PORT,
    host: read.HOST,
    dataDir: read.DATA_DIR,
    pgDir: join(read.DATA_DIR, 'pg'),
    copiesDir: join(read.DATA_DIR, 'copies'),
    databaseUrl: read.DATABASE_URL,
    copies: read.COPIES,
    accounts: read.ACCOUNTS,
    proxies: read.PROXIES,
    demo: read.DEMO,
    logLevel: read.LOG_LEVEL,
  }
}

/** The settings of this process; where one cannot be it is said, and nothing is begun. */
export function configOfHere(): Config {
  try {
    return readConfig(process.env)
  } catch (error) {
    process.stderr.write(`${(error as Error).message}\n`)
    process.exit(1)
  }
}
