// A lock file that names an optional package without an entry of its own passes `npm install` and fails `npm ci`.
import { readFileSync } from 'node:fs'

const { packages } = JSON.parse(readFileSync(new URL('../package-lock.json', import.meta.url), 'utf8'))
const missing = []
for (const [where, entry] of Object.entries(packages)) {
  for (const name of Object.keys(entry.optionalDependencies ?? {})) {
    const nested = `${where ? `${where}/` : ''}node_modules/${name}`
    if (!packages[nested] && !packages[`node_modules/${name}`]) missing.push(`${where || 'the project'} needs ${name}`)
  }
}
if (missing.length > 0) {
  console.error(`package-lock.json is incomplete:\n${missing.join('\n')}`)
  process.exit(1)
}
