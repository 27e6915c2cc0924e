import { useState } from 'react'
import { useNavigate, useParams } from 'react-router'
import { useWrite } from '../api/hooks'
import { Button } from '../parts/Button'
import { Field } from '../parts/Field'
import { Trouble } from '../parts/Notice'
import { DoorFrame, useEnter } from './Door'

export default function NewPassword() {
  const { token = '' } = useParams()
  const [password, setPassword] = useState('')
  const enter = useEnter()
  const go = useNavigate()
  const write = useWrite<'POST /resets/{token}'>((me) => {
    enter(me)
    void go('/')
  })
  const gone = write.error?.status === 404
  return (
    <DoorFrame title="A new password">
      <form
        className="flex max-w-md flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault()
          write.mutate({ path: `/resets/${encodeURIComponent(token)}`, body: { password } })
        }}
      >
        <Field
          label="A new password"
          type="password"
          autoComplete="new-password"
          hint="Ten letters or more. Other devices are signed out."
          required
          value={password}
          onChange={(e) => setPassword(e.target.value)}
        />
        {gone ? (
          <p role="alert">This link has been used or is too old. Ask for a new one.</p>
        ) : (
          <Trouble problem={write.error} />
        )}
        <Button type="submit" look="strong" disabled={write.isPending}>
          Set it and go in
        </Button>
      </form>
    </DoorFrame>
  )
}
