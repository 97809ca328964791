import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'

/** The folder of package.json: data files are found from it, whether the server runs from its source or built. */
export const projectRoot = ((): string => {
  let folder = import.meta.dirname
  while (!existsSync(join(folder, 'package.json'))) folder = dirname(folder)
  return folder
})()
