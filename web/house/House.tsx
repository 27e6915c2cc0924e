import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { send } from '../api/client'
import { type Shape, useHouse, useHouseId, useMaterials, useMe, useWrite } from '../api/hooks'
import { useSay } from '../frame/Say'
import { usePart } from '../frame/part'
import { useDrawnInSlices } from '../frame/slices'
import { Button } from '../parts/Button'
import { Field, Select, TimeField } from '../parts/Field'
import { Trouble, Waiting } from '../parts/Notice'
import { MEASURES } from './measures'
import { OutAndIn } from './OutAndIn'
import { People } from './People'
import { Vessels } from './Vessels'

export default function House() {
  const house = useHouse()
  const { keeps } = usePart()
  const there = useDrawnInSlices(house.data)
  if (house.isError && !house.data) return <Trouble problem={house.error} />
  if (!there) return <Waiting what="the house" />
  return (
    <div className="flex flex-col gap-8">
      <h1 className="text-4xl">{there.name}</h1>
      <div className="border-line grid gap-x-10 gap-y-10 border-t pt-6 md:grid-cols-2 lg:grid-cols-3">
        <Settings key={there.version} house={there} keeps={keeps} />
        <Vessels house={there} keeps={keeps} />
        <People keeps={keeps} />
        <You />
        <ChangePassword />
        {keeps ? <OutAndIn /> : null}
      </div>
    </div>
  )
}

const HEAD = 'text-2xl'

function Settings({ house, keeps }: { house: Shape<'HouseView'>; keeps: boolean }) {
  const [form, set] = useState({
    name: house.name,
    time_zone: house.time_zone,
    measures: house.measures as string,
    wake: house.wake,
    bed: house.bed,
    drops_per_ml: String(house.drops_per_ml),
    currency: house.currency,
    room: house.room_text,
    latitude: house.latitude === null ? '' : String(house.latitude),
    longitude: house.longitude === null ? '' : String(house.longitude),
    height_m: String(house.height_m),
    facing: String(house.facing),
  })
  const [home, setHome] = useState<string[]>(house.home)
  const [things, setThings] = useState<string[] | null>(house.things)
  const materials = useMaterials()
  const say = useSay()
  const write = useWrite<'PATCH /houses/{house}'>(() => say({ text: 'The house’s settings are kept.' }))
  const fault = (field: string) => write.error?.about(field)
  const put = (field: keyof typeof form) => (event: { target: { value: string } }) =>
    set({ ...form, [field]: event.target.value })
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault()
        write.mutate({
          method: 'PATCH',
          path: `/houses/${house.id}`,
          body: {
            ...form,
            drops_per_ml: Number(form.drops_per_ml),
            // As it was, it is not read again: whole degrees of one kind are not whole in the other.
            room: form.room === house.room_text ? undefined : form.room,
            latitude: form.latitude.trim() === '' ? null : Number(form.latitude),
            longitude: form.longitude.trim() === '' ? null : Number(form.longitude),
            height_m: Number(form.height_m),
            facing: Number(form.facing),
            home,
            ...(things === null ? {} : { things }),
            version: house.version,
          },
        })
      }}
    >
      <h2 className={HEAD}>The house</h2>
      <fieldset disabled={!keeps} className="flex flex-col gap-4">
        <Field label="Name" required value={form.name} fault={fault('name')} onChange={put('name')} />
        <Field
          label="Time zone"
          required
          value={form.time_zone}
          fault={fault('time_zone')}
          onChange={put('time_zone')}
        />
        <Select label="Whose cups and spoons" value={form.measures} choices={MEASURES} onChange={put('measures')} />
        <div className="grid grid-cols-2 gap-4">
          <TimeField label="Up at" required value={form.wake} onTime={(wake) => set({ ...form, wake })} />
          <TimeField label="To bed at" required value={form.bed} onTime={(bed) => set({ ...form, bed })} />
        </div>
        <Field
          label="Drops in a millilitre"
          inputMode="decimal"
          required
          value={form.drops_per_ml}
          fault={fault('drops_per_ml')}
          hint="Count your own dropper’s into a 1 mL spoon."
          onChange={put('drops_per_ml')}
        />
        <div className="grid grid-cols-2 items-start gap-4">
          <Field label="How warm the room is" required value={form.room} fault={fault('room')} onChange={put('room')} />
          <Field
            label="Prices in"
            placeholder="GBP"
            maxLength={3}
            value={form.currency}
            fault={fault('currency')}
            onChange={(event) => set({ ...form, currency: event.target.value.toUpperCase() })}
          />
        </div>
        <div className="grid grid-cols-2 items-start gap-4">
          <Field
            label="Latitude, °N"
            inputMode="decimal"
            placeholder="59.25"
            value={form.latitude}
            fault={fault('latitude')}
            onChange={put('latitude')}
          />
          <Field
            label="Longitude, °E"
            inputMode="decimal"
            placeholder="-2.6"
            value={form.longitude}
            fault={fault('longitude')}
            onChange={put('longitude')}
          />
          <Field
            label="Above the sea, m"
            inputMode="numeric"
            value={form.height_m}
            fault={fault('height_m')}
            hint="Water boils the cooler the higher it stands."
            onChange={put('height_m')}
          />
          <Select
            label="The sunny window looks"
            value={form.facing}
            choices={[
              ['0', 'north'],
              ['45', 'north-east'],
              ['90', 'east'],
              ['135', 'south-east'],
              ['180', 'south'],
              ['225', 'south-west'],
              ['270', 'west'],
              ['315', 'north-west'],
              ...(Number(form.facing) % 45 === 0 ? [] : [[form.facing, `${form.facing}° from north`]]),
            ].map(([id = '', name = '']) => ({ id, name }))}
            onChange={put('facing')}
          />
        </div>
        <details open={home.some((day) => day !== '')}>
          <summary className="min-h-11 py-2 font-semibold">Hours at home</summary>
          <p className="text-soft">
            Blank for all day, a dash for not at all, or whiles such as 07:00-08:30, 17:00-22:30. Heated work is placed
            only then.
          </p>
          <div className="grid grid-cols-[6.5rem_1fr] items-center gap-x-3 gap-y-2">
            {['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'].map((day, index) => (
              <label key={day} className="contents">
                <span>{day}</span>
                <span>
                  <input
                    className="field"
                    maxLength={120}
                    placeholder="all day"
                    value={home[index] ?? ''}
                    aria-invalid={fault(`home.${index}`) ? true : undefined}
                    onChange={(event) => setHome(home.map((each, at) => (at === index ? event.target.value : each)))}
                  />
                  {fault(`home.${index}`) ? (
                    <span role="alert" className="text-warmth font-semibold">
                      {fault(`home.${index}`)}
                    </span>
                  ) : null}
                </span>
              </label>
            ))}
          </div>
        </details>
        <fieldset>
          <legend className="font-semibold">What there is to work with</legend>
          {(materials.data?.things ?? []).map((thing) => (
            <label key={thing.id} className="flex min-h-9 items-center gap-3">
              <input
                type="checkbox"
                className="size-5 shrink-0"
                checked={things === null || things.includes(thing.id)}
                onChange={(event) => {
                  const all = things ?? (materials.data?.things ?? []).map((each) => each.id)
                  setThings(event.target.checked ? [...all, thing.id] : all.filter((id) => id !== thing.id))
                }}
              />
              {thing.name}
            </label>
          ))}
        </fieldset>
      </fieldset>
      {write.error &&
      !['name', 'time_zone', 'drops_per_ml', 'room', 'currency', 'latitude', 'longitude', 'height_m', 'home'].some(
        (field) => fault(field),
      ) ? (
        <Trouble problem={write.error} />
      ) : null}
      {keeps ? (
        <Button type="submit" disabled={write.isPending} className="self-start">
          Keep these
        </Button>
      ) : null}
    </form>
  )
}

function You() {
  const me = useMe()
  const client = useQueryClient()
  const write = useWrite<'PATCH /me'>((now) => client.setQueryData(['me'], now))
  const go = useNavigate()
  const house = useHouseId()
  if (!me.data) return null
  const others = me.data.houses.filter((each) => each.id !== house)
  const signOut = async () => {
    await send('DELETE', '/session')
    client.removeQueries({ predicate: (query) => query.queryKey[0] !== 'me' })
    await client.invalidateQueries({ queryKey: ['me'] })
    void go('/sign-in')
  }
  return (
    <section className="flex flex-col gap-4" aria-labelledby="you">
      <h2 id="you" className={HEAD}>
        {me.data.name}
      </h2>
      <p className="text-soft">{me.data.email}</p>
      <Select
        label="Warmth in"
        value={me.data.temperature}
        choices={[
          { id: 'c', name: 'Celsius' },
          { id: 'f', name: 'Fahrenheit' },
        ]}
        onChange={(e) => write.mutate({ method: 'PATCH', path: '/me', body: { temperature: e.target.value } })}
      />
      <Select
        label="Amounts first in"
        value={me.data.amounts}
        choices={[
          { id: 'metric', name: 'Grams and millilitres' },
          { id: 'kitchen', name: 'Cups, spoons and ounces' },
        ]}
        onChange={(e) => write.mutate({ method: 'PATCH', path: '/me', body: { amounts: e.target.value } })}
      />
      <Trouble problem={write.error} />
      {others.map((each) => (
        <Button key={each.id} look="quiet" className="self-start" onClick={() => void go(`/h/${each.id}/today`)}>
          Go to {each.name}
        </Button>
      ))}
      <Button className="self-start" onClick={() => void signOut()}>
        Sign out
      </Button>
    </section>
  )
}

function ChangePassword() {
  const [form, set] = useState({ present: '', password: '' })
  const say = useSay()
  const write = useWrite(() => {
    set({ present: '', password: '' })
    say({ text: 'The password is changed; other devices are signed out.' })
  })
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(event) => {
        event.preventDefault()
        write.mutate({ method: 'PUT', path: '/me/password', body: form })
      }}
    >
      <h2 className={HEAD}>Change your password</h2>
      <Field
        label="Present password"
        type="password"
        autoComplete="current-password"
        required
        value={form.present}
        fault={write.error?.about('present')}
        onChange={(e) => set({ ...form, present: e.target.value })}
      />
      <Field
        label="New password"
        type="password"
        autoComplete="new-password"
        required
        value={form.password}
        fault={write.error?.about('password')}
        onChange={(e) => set({ ...form, password: e.target.value })}
      />
      {write.error && write.error.faults.length === 0 ? <Trouble problem={write.error} /> : null}
      <Button type="submit" disabled={write.isPending} className="self-start">
        Change it
      </Button>
    </form>
  )
}
