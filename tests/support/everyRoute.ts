import type { Express } from 'express'

export interface RouteOf {
  method: 'get' | 'post' | 'put' | 'delete'
  path: string
}

interface Layer {
  route?: { path: string; methods: Record<string, boolean> }
  handle: { stack?: Layer[] }
}

/** Every route of an app, as it answers below `/api`: a new one is found without being named anywhere. */
export function everyRoute(app: Express): RouteOf[] {
  const walk = (stack: Layer[]): RouteOf[] =>
    stack.flatMap((layer) => {
      if (layer.route) {
        const { path, methods } = layer.route
        return Object.keys(methods).map((m) => ({ method: m as RouteOf['method'], path: `/api${path}` }))
      }
      return layer.handle.stack ? walk(layer.handle.stack) : []
    })
  return walk((app as unknown as { router: { stack: Layer[] } }).router.stack).filter((r) => !r.path.includes('{*'))
}
