import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { get } from '../api/client'
import { type Shape, useWrite } from '../api/hooks'
import { useSay } from '../frame/Say'
import { Button } from '../parts/Button'
import { Field } from '../parts/Field'
import { sent, useForm } from '../parts/form'
import { Notice, Trouble } from '../parts/Notice'

/** Codes for paper, which are shown this once. */
function Paper({ codes, done }: { codes: string[]; done: () => void }) {
  return (
    <div className="flex flex-col items-start gap-3" role="status">
      <p>
        Write these down, or print them, and keep them where you keep papers. Each opens the door once when the phone is
        lost. They are not shown again.
      </p>
      <ul className="border-rim rounded-rim grid w-full grid-cols-2 gap-x-6 border-2 p-3 font-mono select-all">
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ul>
      <Button onClick={done}>I have them on paper</Button>
    </div>
  )
}

/** What a phone is to read or to be told, and a first code that shows it has it. */
function Begun({ begun, onCodes }: { begun: Shape<'SecondStepBegun'>; onCodes: (codes: string[]) => void }) {
  const form = useForm({ code: '' })
  const write = useWrite<'PUT /me/second-step'>((made) => onCodes(made.codes))
  const { field, rest } = form.beside(write.error)
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={sent(() => write.mutate({ method: 'PUT', path: '/me/second-step', body: form.typed }))}
    >
      <p>Let an authenticator app on your phone read this, or type its letters there.</p>
      <img
        className="max-w-full self-start bg-white p-4"
        alt="What the app reads; its letters are below"
        src={`data:image/svg+xml;utf8,${encodeURIComponent(begun.code)}`}
      />
      <p className="font-mono break-words select-all">{begun.secret}</p>
      <Field
        label="The six figures it shows"
        autoComplete="one-time-code"
        inputMode="numeric"
        required
        {...field('code')}
      />
      <Trouble problem={rest} />
      <Button type="submit" look="strong" disabled={write.isPending} className="self-start">
        Turn it on
      </Button>
    </form>
  )
}

/** One's own second step at the door. */
export function SecondStep() {
  const client = useQueryClient()
  const say = useSay()
  const now = useQuery({ queryKey: ['me', 'second-step'], queryFn: () => get('/me/second-step') })
  const [begun, setBegun] = useState<Shape<'SecondStepBegun'> | null>(null)
  const [codes, setCodes] = useState<string[] | null>(null)
  const form = useForm({ present: '' })
  const again = () => void client.invalidateQueries({ queryKey: ['me', 'second-step'] })
  const shown = (made: string[]) => {
    setCodes(made)
    setBegun(null)
    form.put({ present: '' })
    again()
  }
  const begin = useWrite<'POST /me/second-step'>((made) => {
    form.put({ present: '' })
    setBegun(made)
  })
  const anew = useWrite<'POST /me/second-step/codes'>((made) => shown(made.codes))
  const off = useWrite<'POST /me/second-step/off'>((view) => {
    client.setQueryData(['me', 'second-step'], view)
    form.put({ present: '' })
    say({ text: 'The second step is off.' })
  })
  const { field, rest } = form.beside(begin.error ?? anew.error ?? off.error)
  const there = now.data
  if (!there) return <Trouble problem={now.error} />
  const busy = begin.isPending || anew.isPending || off.isPending
  const ask = (
    <Field label="Your password" type="password" autoComplete="current-password" required {...field('present')} />
  )
  return (
    <section className="flex flex-col gap-3" aria-labelledby="second">
      <h2 id="second" className="text-2xl">
        A second step at the door
      </h2>
      {codes ? <Paper codes={codes} done={() => setCodes(null)} /> : null}
      {begun ? <Begun begun={begun} onCodes={shown} /> : null}
      {codes || begun ? null : there.on ? (
        <form
          className="flex flex-col gap-3"
          onSubmit={sent(() => anew.mutate({ path: '/me/second-step/codes', body: form.typed }))}
        >
          <p>It is on: after your password, a code of your phone. Of the codes on paper {there.codes_left} are left.</p>
          {there.codes_left < 3 ? <Notice rank="care">Make new ones before the last is used.</Notice> : null}
          {ask}
          <Trouble problem={rest} />
          <span className="flex flex-wrap gap-3">
            <Button type="submit" disabled={busy}>
              New codes for paper
            </Button>
            <Button
              look="stop"
              disabled={busy}
              onClick={() => off.mutate({ path: '/me/second-step/off', body: form.typed })}
            >
              Turn it off
            </Button>
          </span>
        </form>
      ) : (
        <form
          className="flex flex-col gap-3"
          onSubmit={sent(() => begin.mutate({ path: '/me/second-step', body: form.typed }))}
        >
          <p>After your password, a code of an app on your phone: who has learnt the password is not in yet.</p>
          {ask}
          <Trouble problem={rest} />
          <Button type="submit" disabled={busy} className="self-start">
            Begin
          </Button>
        </form>
      )}
    </section>
  )
}
