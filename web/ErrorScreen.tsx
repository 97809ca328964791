import { ApiError } from './api/client.ts'
import { isRouteErrorResponse, Link, useRouteError } from 'react-router'
import { say } from './language/say.ts'

/** Said when a screen cannot be shown; what was typed is in the outbox and in the stores, not lost. */
export function ErrorScreen() {
  const error = useRouteError()
  const missing = isRouteErrorResponse(error) && error.status === 404
  const signIn = error instanceof ApiError && error.status === 401
  return (
    <main className="mx-auto max-w-2xl px-6 py-16">
      <h1 className="text-3xl">{missing ? say('There is no such page') : say('This screen could not be opened')}</h1>
      <p className="mt-4">{error instanceof Error ? error.message : say('The address may be mistyped.')}</p>
      <p className="mt-2">
        {say(
          'What was written down is kept here or on the server. What stood in a form that was not sent may be gone.',
        )}
      </p>
      <p className="mt-6">
        <Link
          to={signIn ? `/sign-in?to=${encodeURIComponent(location.pathname)}` : '/rounds'}
          className="inline-flex min-h-11 items-center rounded-xl bg-culm px-5 font-semibold text-on-culm"
        >
          {signIn ? say('Sign in') : say('Back to the rounds')}
        </Link>
      </p>
    </main>
  )
}
