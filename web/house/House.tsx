import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { type Shape, useHouse, useHouseId, useMaterials, useMe, useWrite } from '../api/hooks'
import { useSay } from '../frame/Say'
import { usePart } from '../frame/part'
import { useArrived } from '../parts/arrived'
import { Button } from '../parts/Button'
import { Field, Select, TimeField } from '../parts/Field'
import { rebased, sent, useForm } from '../parts/form'
import { InParts } from '../parts/InParts'
import { Trouble } from '../parts/Notice'
import { MEASURES } from './measures'
import { EndAccount } from './Ending'
import { OutAndIn } from './OutAndIn'
import { People } from './People'
import { SecondStep } from './SecondStep'
import { Sessions } from './Sessions'
import { SignOut } from './SignOut'
import { Trail } from './Trail'
import { Vessels } from './Vessels'

export default function House() {
  const house = useHouse()
  const { keeps } = usePart()
  const { there, instead } = useArrived(house, 'the house')
  if (!there) return instead
  return (
    <div className="flex flex-col gap-8">
      <h1 className="text-4xl">{there.name}</h1>
      <div className="border-line grid gap-x-10 gap-y-10 border-t pt-6 md:grid-cols-2 lg:grid-cols-3">
        <InParts>
          <Settings house={there} keeps={keeps} />
          <Vessels house={there} keeps={keeps} />
          <div className="flex flex-col gap-4">
            <People keeps={keeps} />
            {keeps ? <Trail /> : null}
          </div>
          <You />
          <div className="flex flex-col gap-10">
            <ChangePassword />
            <SecondStep />
            <Sessions />
          </div>
          {keeps ? <OutAndIn house={there} /> : null}
        </InParts>
      </div>
    </div>
  )
}

const HEAD = 'text-2xl'

/** What was typed, to be read where it is kept; nothing where it was left blank. */
function blank(typed: string): string | null {
  return typed.trim() === '' ? null : typed
}

const typedOf = (house: Shape<'HouseView'>) => ({
  name: house.name,
  time_zone: house.time_zone,
  measures: house.measures as string,
  wake: house.wake,
  bed: house.bed,
  drops_per_ml: String(house.drops_per_ml),
  currency: house.currency,
  hour_rate: house.hour_rate === null ? '' : String(house.hour_rate),
  room: house.room_text,
  burners: house.burners === null ? '' : String(house.burners),
  latitude: house.latitude === null ? '' : String(house.latitude),
  longitude: house.longitude === null ? '' : String(house.longitude),
  height_m: String(house.height_m),
  facing: String(house.facing),
})

/** All that is set, as it is typed. */
const setOf = (house: Shape<'HouseView'>) => ({ fields: typedOf(house), home: house.home, things: house.things })

function Settings({ house, keeps }: { house: Shape<'HouseView'>; keeps: boolean }) {
  const [begun, setBegun] = useState(house)
  const form = useForm(typedOf(house))
  const [home, setHome] = useState<string[]>(house.home)
  const [things, setThings] = useState<string[] | null>(house.things)
  const materials = useMaterials()
  const say = useSay()
  const stand = (on: Shape<'HouseView'>, { fields, ...lists }: ReturnType<typeof setOf>) => {
    setBegun(on)
    form.put(fields)
    setHome(lists.home)
    setThings(lists.things)
  }
  const write = useWrite<'PATCH /houses/{house}'>((kept) => {
    stand(kept, setOf(kept))
    say({ text: 'The house’s settings are kept.' })
  })
  if (house.version > begun.version) {
    const told = write.error?.status === 409
    const [was, is] = [setOf(begun), setOf(house)]
    const fields = rebased(was.fields, is.fields, form.typed, told)
    const lists = rebased(
      { home: was.home, things: was.things },
      { home: is.home, things: is.things },
      { home, things },
      told,
    )
    if (fields && lists) stand(house, { fields, ...lists })
  }
  const { field, rest } = form.beside(write.error)
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={sent(() =>
        write.mutate({
          method: 'PATCH',
          path: `/houses/${house.id}`,
          body: {
            ...form.typed,
            // As it was, it is not read again: whole degrees of one kind are not whole in the other.
            room: form.typed.room === begun.room_text ? undefined : form.typed.room,
            latitude: blank(form.typed.latitude),
            longitude: blank(form.typed.longitude),
            hour_rate: blank(form.typed.hour_rate),
            burners: blank(form.typed.burners),
            facing: Number(form.typed.facing),
            home,
            ...(things === null ? {} : { things }),
            version: begun.version,
          },
        }),
      )}
    >
      <h2 className={HEAD}>The house</h2>
      <fieldset disabled={!keeps} className="flex flex-col gap-4">
        <Field label="Name" required {...field('name')} />
        <Field label="Time zone" required {...field('time_zone')} />
        <Select label="Whose cups and spoons" choices={MEASURES} {...field('measures')} />
        <div className="grid grid-cols-2 gap-4">
          <TimeField label="Up at" required {...field('wake')} onTime={(wake) => form.put({ wake })} />
          <TimeField label="To bed at" required {...field('bed')} onTime={(bed) => form.put({ bed })} />
        </div>
        <div className="grid grid-cols-2 items-start gap-4">
          <Field
            label="Drops in a millilitre"
            inputMode="decimal"
            required
            hint="Count your own dropper’s into a 1 mL spoon."
            {...field('drops_per_ml')}
          />
          <Field label="How warm the room is" required {...field('room')} />
        </div>
        <Field
          label="Burners on the stove"
          inputMode="numeric"
          placeholder="4"
          hint="Pots that boil for days share them, and wait for one. Empty: not counted."
          {...field('burners')}
        />
        <div className="grid grid-cols-2 items-start gap-4">
          <Field
            label="Prices in"
            placeholder="GBP"
            maxLength={3}
            {...field('currency')}
            onChange={(event) => form.put({ currency: event.target.value.toUpperCase() })}
          />
          <Field
            label="An hour of yours"
            inputMode="decimal"
            placeholder="12.00"
            hint="Counted into what a tin costs. Empty: time is free."
            {...field('hour_rate')}
          />
        </div>
        <div className="grid grid-cols-2 items-start gap-4">
          <Field label="Latitude, °N" placeholder="59.25, or 59°15′ N" {...field('latitude')} />
          <Field label="Longitude, °E" placeholder="-2.6, or 2°36′ W" {...field('longitude')} />
          <Field
            label="Above the sea, m"
            inputMode="numeric"
            hint="Water boils the cooler the higher it stands."
            {...field('height_m')}
          />
          <Select
            label="The sunny window looks"
            {...field('facing')}
            choices={[
              ['0', 'north'],
              ['45', 'north-east'],
              ['90', 'east'],
              ['135', 'south-east'],
              ['180', 'south'],
              ['225', 'south-west'],
              ['270', 'west'],
              ['315', 'north-west'],
              ...(Number(form.typed.facing) % 45 === 0
                ? []
                : [[form.typed.facing, `${form.typed.facing}° from north`]]),
            ].map(([id = '', name = '']) => ({ id, name }))}
          />
        </div>
        <details open={home.some((day) => day !== '')}>
          <summary className="min-h-11 py-2 font-semibold">Hours at home</summary>
          <p className="text-soft">
            Blank for all day, “out” for not at all, or whiles such as 07:00-08:30, 17:00-22:30, or from 6pm. Heated
            work is placed only then.
          </p>
          <div className="grid grid-cols-[6.5rem_1fr] items-start gap-x-3 gap-y-2">
            {['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'].map((day, index) => (
              <label key={day} className="contents">
                <span className="pt-2">{day}</span>
                <span>
                  <input
                    className="field"
                    maxLength={120}
                    placeholder="all day"
                    value={home[index] ?? ''}
                    aria-invalid={write.error?.about(`home.${index}`) ? true : undefined}
                    onChange={(event) => setHome(home.map((each, at) => (at === index ? event.target.value : each)))}
                  />
                  {write.error?.about(`home.${index}`) ? (
                    <span role="alert" className="text-warmth font-semibold">
                      {write.error?.about(`home.${index}`)}
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
      <Trouble problem={write.error?.about('home') ? null : rest} />
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
      <SignOut who={me.data.id} />
      <EndAccount />
    </section>
  )
}

function ChangePassword() {
  const form = useForm({ present: '', password: '' })
  const say = useSay()
  const write = useWrite(() => {
    form.clear()
    say({ text: 'The password is changed; other devices are signed out.' })
  })
  const { field, rest } = form.beside(write.error)
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={sent(() => write.mutate({ method: 'PUT', path: '/me/password', body: form.typed }))}
    >
      <h2 className={HEAD}>Change your password</h2>
      <Field label="Present password" type="password" autoComplete="current-password" required {...field('present')} />
      <Field label="New password" type="password" autoComplete="new-password" required {...field('password')} />
      <Trouble problem={rest} />
      <Button type="submit" disabled={write.isPending} className="self-start">
        Change it
      </Button>
    </form>
  )
}
