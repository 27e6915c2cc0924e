import { useQuery, useQueryClient } from '@tanstack/react-query'
import { get } from '../api/client'
import { useWrite } from '../api/hooks'
import { useSay } from '../frame/Say'
import { Button, TextButton } from '../parts/Button'
import { Trouble } from '../parts/Notice'

/** Where one is signed in, and how to end it. */
export function Sessions() {
  const client = useQueryClient()
  const say = useSay()
  const all = useQuery({ queryKey: ['me', 'sessions'], queryFn: () => get('/me/sessions') })
  const end = useWrite<'DELETE /me/sessions' | 'DELETE /me/sessions/{session}'>((now) => {
    client.setQueryData(['me', 'sessions'], now)
    say({ text: 'Signed out there.' })
  })
  const sessions = all.data?.sessions ?? []
  return (
    <section className="flex flex-col gap-3" aria-labelledby="sessions">
      <h2 id="sessions" className="text-2xl">
        Where you are signed in
      </h2>
      <Trouble problem={all.error ?? end.error} />
      <ul className="divide-line divide-y">
        {sessions.map((each) => (
          <li key={each.id} className="flex items-center justify-between gap-3 py-2">
            <span className="min-w-0 break-words">
              {each.with === '' ? 'Something' : each.with}
              {each.here ? ' (here)' : ''}
              <span className="text-soft block">
                {each.from}, {each.used}
              </span>
            </span>
            {each.here ? null : (
              <TextButton
                aria-label={`Sign out ${each.with} at ${each.from}`}
                onClick={() => end.mutate({ method: 'DELETE', path: `/me/sessions/${each.id}` })}
              >
                sign out
              </TextButton>
            )}
          </li>
        ))}
      </ul>
      {sessions.length > 1 ? (
        <Button
          className="self-start"
          disabled={end.isPending}
          onClick={() => end.mutate({ method: 'DELETE', path: '/me/sessions' })}
        >
          Sign out everywhere else
        </Button>
      ) : null}
      {all.data ? (
        <p className="text-soft">
          Unused for {all.data.idle_days} days it ends by itself, and after {all.data.most_days} days in any case.
        </p>
      ) : null}
    </section>
  )
}
