import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { get } from '../api/client'
import { type Shape, useHouseId, useMe, useWrite } from '../api/hooks'
import { Button, TextButton } from '../parts/Button'
import { Field } from '../parts/Field'
import { sent, useForm } from '../parts/form'
import { Notice, Trouble } from '../parts/Notice'

/** Ends it, or not, at the foot of either form. */
function EndIt({ busy, leave }: { busy: boolean; leave: () => void }) {
  return (
    <span className="flex flex-wrap gap-3">
      <Button type="submit" look="stop" disabled={busy}>
        End it in two weeks
      </Button>
      <Button look="quiet" onClick={leave}>
        Leave it as it is
      </Button>
    </span>
  )
}

/** The house deleted, for everybody of it, with two weeks in which it can be taken back. */
export function EndHouse({ house }: { house: Shape<'HouseView'> }) {
  const id = useHouseId()
  const client = useQueryClient()
  const goes = useMe().data?.houses.find((each) => each.id === id)?.goes
  const [open, setOpen] = useState(false)
  const form = useForm({ name: '', present: '' })
  const told = () => void client.invalidateQueries({ queryKey: ['me'] })
  const end = useWrite<'POST /houses/{house}/ending'>(() => {
    form.clear()
    setOpen(false)
    told()
  })
  const keep = useWrite<'DELETE /houses/{house}/ending'>(told)
  const { field, rest } = form.beside(end.error)
  if (goes) {
    return (
      <div className="flex flex-col items-start gap-3">
        <h3 className="text-xl">The end of this house</h3>
        <Notice rank="care">
          {house.name} is deleted on {goes}, with all its records, for everybody of it.
        </Notice>
        <Button
          look="strong"
          disabled={keep.isPending}
          onClick={() => keep.mutate({ method: 'DELETE', path: `/houses/${id}/ending` })}
        >
          Keep it after all
        </Button>
        <Trouble problem={keep.error} />
      </div>
    )
  }
  if (!open) return <TextButton onClick={() => setOpen(true)}>End this house…</TextButton>
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={form.sent(() => end.mutate({ path: `/houses/${id}/ending`, body: form.typed }))}
    >
      <h3 className="text-xl">The end of this house</h3>
      <p>
        All of it is deleted in two weeks, for everybody of it, and can be kept until then. Fetch its zip first: nothing
        else brings it back.
      </p>
      <Field label={`The house’s name, to be sure: ${house.name}`} required {...field('name')} />
      <Field label="Your password" type="password" autoComplete="current-password" required {...field('present')} />
      <Trouble problem={rest} />
      <EndIt busy={end.isPending} leave={() => setOpen(false)} />
    </form>
  )
}

/** One's own account deleted, with two weeks in which it can be taken back. */
export function EndAccount() {
  const client = useQueryClient()
  const now = useQuery({ queryKey: ['me', 'ending'], queryFn: () => get('/me/ending') })
  const [open, setOpen] = useState(false)
  const form = useForm({ present: '' })
  const put = (view: Shape<'EndingView'>) => {
    client.setQueryData(['me', 'ending'], view)
    form.clear()
    setOpen(false)
  }
  const end = useWrite<'POST /me/ending'>(put)
  const keep = useWrite<'DELETE /me/ending'>(put)
  const { field, rest } = form.beside(end.error)
  if (now.data?.on) {
    return (
      <div className="flex flex-col items-start gap-3">
        <Notice rank="care">
          Your account is deleted on {now.data.on}. What you wrote in logbooks keeps your name.
        </Notice>
        <Button
          look="strong"
          disabled={keep.isPending}
          onClick={() => keep.mutate({ method: 'DELETE', path: '/me/ending' })}
        >
          Keep it after all
        </Button>
        <Trouble problem={keep.error} />
      </div>
    )
  }
  if (!open) {
    return (
      <TextButton className="self-start" onClick={() => setOpen(true)}>
        End your account…
      </TextButton>
    )
  }
  return (
    <form className="flex flex-col gap-3" onSubmit={sent(() => end.mutate({ path: '/me/ending', body: form.typed }))}>
      <p>
        Your account is deleted in two weeks, and can be kept until then. Lines you wrote in logbooks stay, under your
        name; your e-mail, your password and where you signed in are gone.
      </p>
      <Field label="Your password" type="password" autoComplete="current-password" required {...field('present')} />
      <Trouble problem={rest} />
      <EndIt busy={end.isPending} leave={() => setOpen(false)} />
    </form>
  )
}
