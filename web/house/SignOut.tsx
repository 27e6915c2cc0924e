import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { type Problem, send } from '../api/client'
import { forget } from '../offline/known'
import { outbox, useUnsent } from '../offline/here'
import { Button } from '../parts/Button'
import { Notice, Trouble } from '../parts/Notice'

/** Out, and nothing of the house is left on this device; what was not sent yet is told of first. */
export function SignOut({ who }: { who: string }) {
  const client = useQueryClient()
  const go = useNavigate()
  const [wrong, setWrong] = useState<Problem | null>(null)
  const unsent = useUnsent().length
  const signOut = async () => {
    const to = window.location.pathname
    await send('DELETE', '/session')
    forget()
    const gone = outbox.forget(who).catch(() => undefined)
    client.removeQueries({ predicate: (query) => query.queryKey[0] !== 'me' })
    await Promise.all([gone, client.invalidateQueries({ queryKey: ['me'] })])
    // Who comes in again is back where they were, whichever of the two sends them to the door first.
    void go('/sign-in', { state: { to } })
  }
  return (
    <div className="flex flex-col gap-3">
      {unsent > 0 ? (
        <Notice rank="care">
          {unsent === 1 ? 'One thing that you wrote down' : `${unsent} things that you wrote down`} on this device{' '}
          {unsent === 1 ? 'is' : 'are'} not in the house yet. Signed out, that is gone.
        </Notice>
      ) : null}
      <Trouble problem={wrong} />
      <Button className="self-start" onClick={() => void signOut().catch((problem: Problem) => setWrong(problem))}>
        {unsent > 0 ? 'Sign out all the same' : 'Sign out'}
      </Button>
    </div>
  )
}
