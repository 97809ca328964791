import { create } from 'zustand'

const HOUR_MS = 3_600_000

interface NewVersion {
  /** The worker of a newer version that waits until it is let in. */
  waiting: ServiceWorker | null
}

export const useNewVersion = create<NewVersion>()(() => ({ waiting: null }))

/** Look for newer versions from here on. One that waits when a page opens is let in; one that comes later is offered. */
export function followVersions(registration: ServiceWorkerRegistration): void {
  registration.waiting?.postMessage('take-over')
  registration.addEventListener('updatefound', () => {
    const worker = registration.installing
    worker?.addEventListener('statechange', () => {
      // The first of all takes nobody's place.
      if (worker.state === 'installed' && navigator.serviceWorker.controller)
        useNewVersion.setState({ waiting: worker })
    })
  })
  // A page may stay open for days.
  setInterval(() => void registration.update().catch(() => undefined), HOUR_MS)
}

/** Let the newer version in, and open the page anew with it; where another page has let it in already, only that. */
export function openNewVersion(): void {
  const { waiting } = useNewVersion.getState()
  if (waiting?.state !== 'installed') return location.reload()
  navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true })
  waiting.postMessage('take-over')
}
