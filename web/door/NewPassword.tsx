import { useNavigate, useParams } from 'react-router'
import { useWrite } from '../api/hooks'
import { Button } from '../parts/Button'
import { Field } from '../parts/Field'
import { sent, useForm } from '../parts/form'
import { Trouble } from '../parts/Notice'
import { CodeField } from './CodeField'
import { DoorFrame, useEnter } from './Door'

export default function NewPassword() {
  const { token = '' } = useParams()
  const form = useForm({ password: '', code: '' })
  const enter = useEnter()
  const go = useNavigate()
  const write = useWrite<'POST /resets/{token}'>((me) => {
    enter(me)
    void go('/')
  })
  const { field, rest } = form.beside(write.error)
  const gone = write.error?.status === 404
  return (
    <DoorFrame title="A new password">
      <form
        className="flex max-w-md flex-col gap-4"
        onSubmit={sent(() => write.mutate({ path: `/resets/${encodeURIComponent(token)}`, body: form.typed }))}
      >
        <Field
          label="A new password"
          type="password"
          autoComplete="new-password"
          hint="Ten letters or more. Other devices are signed out."
          required
          {...field('password')}
        />
        <CodeField field={field('code')} problem={write.error} />
        {gone ? (
          <p role="alert">This link has been used or is too old. Ask for a new one.</p>
        ) : (
          <Trouble problem={rest} />
        )}
        <Button type="submit" look="strong" disabled={write.isPending}>
          Set it and go in
        </Button>
      </form>
    </DoorFrame>
  )
}
