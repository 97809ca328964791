let known: boolean | undefined

/** Whether this browser draws in three dimensions. */
export function canDraw(): boolean {
  if (known === undefined)
    try {
      const context = document.createElement('canvas').getContext('webgl2')
      known = context !== null
      context?.getExtension('WEBGL_lose_context')?.loseContext()
    } catch {
      known = false
    }
  return known
}
