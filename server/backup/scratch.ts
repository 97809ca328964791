import { mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const PREFIX = 'fold-sprig-scratch-'

/** A folder for half-made files, of this process. */
export const scratchFolder = (): string => mkdtempSync(join(tmpdir(), `${PREFIX}${process.pid}-`))

const isAlive = (pid: number): boolean => {
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    // It is somebody else's, and there.
    return (error as NodeJS.ErrnoException).code === 'EPERM'
  }
}

/** Take away what processes that were killed left half made: nobody needs it, and it holds records. */
export function clearScratch(): void {
  for (const name of readdirSync(tmpdir())) {
    const pid = Number(new RegExp(`^${PREFIX}(\\d+)-`).exec(name)?.[1])
    if (pid > 0 && pid !== process.pid && !isAlive(pid)) rmSync(join(tmpdir(), name), { recursive: true, force: true })
  }
}
