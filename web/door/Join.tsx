import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { get, type Problem, ask } from '../api/client'
import { type Shape, useMe, useWrite } from '../api/hooks'
import { Button } from '../parts/Button'
import { Trouble, Waiting } from '../parts/Notice'
import { DoorFrame, MakeAccount, SignIn, useEnter } from './Door'

export default function Join() {
  const { token = '' } = useParams()
  const me = useMe()
  const enter = useEnter()
  const go = useNavigate()
  const [failed, setFailed] = useState<Problem | null>(null)
  const invitation = useQuery({
    queryKey: ['invitation', token],
    queryFn: () => get(`/invitations/${encodeURIComponent(token)}`),
    retry: false,
  })
  const goIn = (now: Shape<'Me'>) => {
    enter(now)
    const newest = now.houses.at(-1)
    void go(newest ? `/h/${newest.id}/today` : '/')
  }
  const join = useWrite<'POST /invitations/{token}'>(goIn)
  // Signing in or making an account on this page accepts at once: that is what the link is for.
  const accept = () => {
    ask(`/invitations/${encodeURIComponent(token)}`, undefined)
      .then(goIn)
      .catch((problem: Problem) => setFailed(problem))
  }
  if (invitation.isPending || me.isPending) return <Waiting what="the invitation" />
  if (invitation.isError && (invitation.error as Problem).status !== 404)
    return (
      <DoorFrame title="This invitation could not be looked at just now.">
        <Trouble problem={invitation.error} />
        <Button className="self-start" onClick={() => void invitation.refetch()}>
          Look again
        </Button>
      </DoorFrame>
    )
  if (invitation.isError)
    return (
      <DoorFrame title="This invitation has been used, withdrawn, or is too old.">
        <p>Ask a keeper of the house for a new one.</p>
      </DoorFrame>
    )
  return (
    <DoorFrame title={`${invitation.data.house} asks you in, as a ${invitation.data.role}.`}>
      <Trouble problem={failed ?? join.error} />
      {me.data?.signed_in ? (
        <Button
          look="strong"
          className="self-start"
          disabled={join.isPending}
          onClick={() => join.mutate({ path: `/invitations/${encodeURIComponent(token)}` })}
        >
          Go in as {me.data.name}
        </Button>
      ) : (
        <div className="grid gap-10 md:grid-cols-2">
          {me.data?.registration === 'closed' ? null : (
            <MakeAccount onIn={accept} withHouse={false} invitation={token} />
          )}
          <SignIn onIn={accept} />
        </div>
      )}
    </DoorFrame>
  )
}
