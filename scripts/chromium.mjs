// Debian's Chromium: the one without a window of its own, which is a third quicker at driving pages, else the whole one.
import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'

const [SHELL, WHOLE] = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium']

export const chromiumPath = () => process.env.CHROMIUM ?? (existsSync(SHELL) ? SHELL : WHOLE)

/** Installs it where it is missing and may be installed. @returns whether there is one */
export function installChromium() {
  if (process.env.CHROMIUM) return existsSync(process.env.CHROMIUM)
  if (existsSync(SHELL)) return true
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  const apt = (...args) => spawnSync('apt-get', args, { stdio: ['ignore', 'ignore', 'inherit'], env }).status === 0
  const install = (name) => apt('install', '-y', '-qq', '--no-install-recommends', name)
  console.log('Chromium is installed from Debian’s packages ...')
  if (apt('update', '-qq') && !install('chromium-headless-shell') && !existsSync(WHOLE)) install('chromium')
  return existsSync(chromiumPath())
}
