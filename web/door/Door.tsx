import { useQueryClient } from '@tanstack/react-query'
import type { ReactNode } from 'react'
import { Navigate, useLocation } from 'react-router'
import { type Shape, useMe, useWrite } from '../api/hooks'
import { Button } from '../parts/Button'
import { Field, Select } from '../parts/Field'
import { sent, useForm } from '../parts/form'
import { Trouble, Waiting } from '../parts/Notice'
import { forget } from '../offline/known'
import { CodeField } from './CodeField'
import { Making } from './Making'
import { MEASURES } from '../house/measures'

export function Home() {
  const me = useMe()
  if (me.isPending) return <Waiting what="the house" />
  const first = me.data?.houses[0]
  if (me.data?.signed_in && first) return <Navigate to={`/h/${first.id}/today`} replace />
  return <Navigate to="/sign-in" replace />
}

/** Once somebody is in, everything fetched before is asked again. */
export function useEnter() {
  const client = useQueryClient()
  return (me: Shape<'Me'>) => {
    // What was known to who was in before is not for who is now.
    forget()
    // The query that screens are watching stays; only what is in it changes.
    client.removeQueries({ predicate: (query) => query.queryKey[0] !== 'me' })
    client.setQueryData(['me'], me)
  }
}

export function DoorFrame({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="mx-auto flex max-w-5xl flex-col gap-8 px-5 py-10">
      <header className="border-rim border-b-[3px] pb-4">
        <p className="font-display text-xl font-semibold">Warm Kettle</p>
        <h1 className="mt-4 max-w-3xl text-4xl">{title}</h1>
      </header>
      {children}
    </main>
  )
}

export const zone = () => Intl.DateTimeFormat().resolvedOptions().timeZone

export function Door() {
  const me = useMe()
  const enter = useEnter()
  const location = useLocation()
  const demo = useWrite<'POST /demo'>(enter)
  if (me.isPending) return <Waiting what="the door" />
  const first = me.data?.houses[0]
  const to = (location.state as { to?: string } | null)?.to
  if (me.data?.signed_in && first) return <Navigate to={to ?? `/h/${first.id}/today`} replace />
  if (me.data?.signed_in) return <FirstHouse />
  return (
    <DoorFrame title="Herb and oil, measured, remembered, and labelled before you forget.">
      <Making />
      {me.data?.demo_open ? (
        <section className="flex flex-wrap items-center gap-4" aria-labelledby="demo">
          <h2 id="demo" className="text-2xl">
            Look around first
          </h2>
          <Button look="strong" disabled={demo.isPending} onClick={() => demo.mutate({ path: '/demo' })}>
            Enter Skerry House
          </Button>
          <span className="text-soft">An invented cottage with jars on the shelf. Press anything.</span>
          <Trouble problem={demo.error} />
        </section>
      ) : null}
      <div className="border-line grid gap-10 border-t pt-8 md:grid-cols-2">
        <SignIn onIn={enter} />
        {me.data?.registration === 'open' ? (
          <MakeAccount onIn={enter} withHouse />
        ) : (
          <section className="flex flex-col gap-4" aria-labelledby="account">
            <h2 id="account" className="text-2xl">
              An account
            </h2>
            <p>
              {me.data?.registration === 'invited'
                ? 'Is made here with an invitation: ask a keeper of a house for a link.'
                : 'Is made here by whoever looks after the machine: ask there.'}
            </p>
          </section>
        )}
      </div>
    </DoorFrame>
  )
}

export function SignIn({ onIn }: { onIn: (me: Shape<'Me'>) => void }) {
  const form = useForm({ email: '', password: '', code: '' })
  const write = useWrite<'POST /session'>(onIn)
  const { field, rest } = form.beside(write.error)
  const plain = form.beside(null).field
  return (
    <form className="flex flex-col gap-4" onSubmit={sent(() => write.mutate({ path: '/session', body: form.typed }))}>
      <h2 className="text-2xl">Sign in</h2>
      <Field label="E-mail" type="email" autoComplete="username" required {...plain('email')} />
      <Field label="Password" type="password" autoComplete="current-password" required {...plain('password')} />
      <CodeField field={field('code')} problem={write.error} />
      <Trouble problem={write.error?.about('code') ? rest : write.error} />
      <Button type="submit" look="strong" disabled={write.isPending} className="self-start">
        Sign in
      </Button>
      <p className="text-soft">
        Forgotten it? A keeper of your house can make you a new-password link, or whoever looks after the machine.
      </p>
    </form>
  )
}

type Account = { onIn: (me: Shape<'Me'>) => void; withHouse: boolean; invitation?: string }

export function MakeAccount({ onIn, withHouse, invitation }: Account) {
  const form = useForm({ name: '', email: '', password: '', house: '', measures: 'metric' })
  const write = useWrite<'POST /accounts'>(onIn)
  const { field, rest } = form.beside(write.error)
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={sent(() => {
        const { house, measures, ...person } = form.typed
        write.mutate({
          path: '/accounts',
          body: withHouse
            ? { ...person, house, measures, time_zone: zone() }
            : { ...person, invitation: invitation ?? null },
        })
      })}
    >
      <h2 className="text-2xl">{withHouse ? 'Begin a house of your own' : 'Make an account'}</h2>
      <Field label="Your name" autoComplete="name" required {...field('name')} />
      <Field label="Your e-mail" type="email" autoComplete="username" required {...field('email')} />
      <Field
        label="A new password"
        type="password"
        autoComplete="new-password"
        required
        hint="Ten letters or more."
        {...field('password')}
      />
      {withHouse ? (
        <>
          <Field label="The house’s name" required {...field('house')} />
          <Select label="Whose cups and spoons" choices={MEASURES} {...field('measures')} />
        </>
      ) : null}
      <Trouble problem={rest} />
      <Button type="submit" disabled={write.isPending} className="self-start">
        {withHouse ? 'Begin' : 'Make it and go in'}
      </Button>
    </form>
  )
}

function FirstHouse() {
  const form = useForm({ name: '', measures: 'metric' })
  const enter = useEnter()
  const write = useWrite<'POST /houses'>(enter)
  const { field, rest } = form.beside(write.error)
  return (
    <DoorFrame title="You belong to no house yet. Begin one, or ask a keeper for an invitation.">
      <form
        className="flex max-w-md flex-col gap-4"
        onSubmit={sent(() => write.mutate({ path: '/houses', body: { ...form.typed, time_zone: zone() } }))}
      >
        <Field label="The house’s name" required {...field('name')} />
        <Select label="Whose cups and spoons" choices={MEASURES} {...field('measures')} />
        <Trouble problem={rest} />
        <Button type="submit" look="strong" disabled={write.isPending}>
          Begin
        </Button>
      </form>
    </DoorFrame>
  )
}
