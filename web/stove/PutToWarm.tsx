import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { ask } from '../api/client'
import { type Shape, useHouseId, useWrite } from '../api/hooks'
import { Button } from '../parts/Button'
import { Field, Select } from '../parts/Field'
import { sent } from '../parts/form'
import { Notice, Trouble } from '../parts/Notice'
import { StoveCautions } from './StoveCautions'
import { BathSide, BathTop, WarmthLine } from './drawings'

type Props = {
  waiting: Shape<'StoveWaiting'>[]
  cookers: Shape<'CookerView'>[]
  probes: Shape<'ProbeView'>[]
  chosen: string[] | null
  setChosen: (chosen: string[]) => void
}

/** Which jars, in which pot, on which setting: what it will do stands beside it before it is switched on. */
export function PutToWarm({ waiting, cookers, probes, chosen, setChosen }: Props) {
  const house = useHouseId()
  const go = useNavigate()
  const ready = waiting.filter((jar) => jar.ready)
  // Those the diary puts into one pot with the first.
  const first = ready[0]
  const batches =
    chosen?.filter((id) => ready.some((jar) => jar.batch === id)) ??
    ready
      .filter(
        (jar) => jar.method === first?.method && jar.warmth_text === first.warmth_text && jar.cooker === first.cooker,
      )
      .map((jar) => jar.batch)
  const [picked, setPicked] = useState<{
    cooker?: string
    setting?: string
    school?: string
    poured?: string
    watch?: string
    speed?: string
    water?: string
    confirmed?: string
  }>({})
  // Those the chosen jars can stand in, where there are any.
  const lead = ready.find((each) => batches.includes(each.batch)) ?? first
  const idle = cookers.filter((each) => !each.in_use)
  const fitting = idle.filter((each) => lead?.cookers.includes(each.id))
  const free = fitting.length > 0 ? fitting : idle
  const cooker = free.find((each) => each.id === (picked.cooker ?? first?.cooker)) ?? free[0]
  const setting = cooker?.settings.find((each) => each.name === picked.setting)?.name ?? cooker?.settings[0]?.name ?? ''
  const waters = lead?.water ?? []
  const school = waters.find((each) => each.id === picked.school)?.id ?? waters[0]?.id ?? 'rim'
  const dry = school === 'none'
  const watch = picked.watch ?? 'hand'
  const simulated = probes.find((each) => each.id === watch)?.kind === 'simulated'
  const poured = picked.poured ?? lead?.poured ?? 'hand-hot'
  const asked = { cooker: cooker?.id ?? '', setting, batches, school, poured }
  const outlook = useQuery({
    queryKey: ['house', house, 'outlook', asked],
    queryFn: ({ signal }) => ask(`/houses/${house}/stove/outlook`, asked, signal),
    enabled: batches.length > 0 && cooker !== undefined,
    placeholderData: (before) => before,
    staleTime: 60_000,
  })
  const start = useWrite<'POST /houses/{house}/stove'>((pot) => void go(`/h/${house}/stove/${pot.id}`))
  const put = (field: keyof typeof picked) => (event: { target: { value: string } }) =>
    setPicked({ ...picked, [field]: event.target.value })
  return (
    <section aria-labelledby="put" className="border-line border-t pt-6">
      <h2 id="put" className="text-2xl">
        Put to warm
      </h2>
      <div className="mt-3 grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)]">
        <form
          className="flex flex-col gap-4"
          onSubmit={sent(() => {
            start.mutate({
              path: `/houses/${house}/stove`,
              body: {
                ...asked,
                watch,
                speed: simulated ? Number(picked.speed ?? '1') : 1,
                ...(dry ? {} : { water: picked.water }),
                confirmed: picked.confirmed ?? '',
              },
            })
          })}
        >
          <fieldset>
            <legend className="font-semibold">The jars</legend>
            {waiting.map((jar) => (
              <label
                key={jar.batch}
                className={`flex min-h-11 items-start gap-3 py-1.5 ${jar.ready ? '' : 'text-soft'}`}
              >
                <input
                  type="checkbox"
                  className="mt-0.5 size-5 shrink-0"
                  disabled={!jar.ready}
                  checked={batches.includes(jar.batch)}
                  onChange={(event) =>
                    setChosen(event.target.checked ? [...batches, jar.batch] : batches.filter((id) => id !== jar.batch))
                  }
                />
                <span>
                  <strong>{jar.herb}</strong>, {jar.jar}, {jar.method}, {jar.warmth_text}: {jar.left_text}
                  {jar.ready ? (
                    jar.when_text ? (
                      <span className="text-soft"> · in the diary {jar.when_text}</span>
                    ) : null
                  ) : (
                    <>
                      {' '}
                      <Link className="underline" to={`/h/${house}/batch/${jar.batch}`}>
                        not filled yet
                      </Link>
                    </>
                  )}
                  {jar.says ? <span className="text-warmth block font-semibold">{jar.says}</span> : null}
                </span>
              </label>
            ))}
          </fieldset>
          {free.length === 0 ? (
            <Notice rank="care">
              {cookers.length === 0 ? 'The house has no cooker yet. Add one below.' : 'Every cooker is in use.'}
            </Notice>
          ) : (
            <div className="grid grid-cols-2 items-start gap-4">
              <Select
                label="In"
                value={cooker?.id ?? ''}
                choices={free.map((each) => ({ id: each.id, name: each.called }))}
                fault={start.error?.about('cooker')}
                onChange={put('cooker')}
              />
              <Select
                label="Set to"
                value={setting}
                choices={(cooker?.settings ?? []).map((each) => ({
                  id: each.name,
                  name: `${each.name} (${each.text})`,
                }))}
                onChange={put('setting')}
              />
              {dry ? null : (
                <>
                  {waters.length > 1 ? (
                    <Select label="Water" value={school} choices={waters} onChange={put('school')} />
                  ) : null}
                  <Select
                    label="Poured in"
                    value={poured}
                    choices={[
                      { id: 'hand-hot', name: 'as hot as a hand bears' },
                      { id: 'cold', name: 'as cold as the room' },
                    ]}
                    onChange={put('poured')}
                  />
                  <Field
                    label="Or so much"
                    placeholder="as it says"
                    value={picked.water ?? ''}
                    fault={start.error?.about('water')}
                    onChange={put('water')}
                  />
                </>
              )}
              <Select
                label="Warmth read"
                value={watch}
                choices={[
                  { id: 'hand', name: 'by eye' },
                  ...probes.map((each) => ({
                    id: each.id,
                    name: `${each.called} (${each.busy ? 'in use' : each.kind_text})`,
                  })),
                ]}
                fault={start.error?.about('watch')}
                onChange={put('watch')}
              />
              {simulated ? (
                <Select
                  label="How fast"
                  value={picked.speed ?? '1'}
                  choices={[
                    { id: '1', name: 'by the clock' },
                    { id: '60', name: 'a trial, 60 times' },
                    { id: '300', name: 'a trial, 300 times' },
                  ]}
                  onChange={put('speed')}
                />
              ) : null}
            </div>
          )}
          <Trouble
            problem={
              start.error && !['cooker', 'water', 'watch', 'confirmed'].some((field) => start.error?.about(field))
                ? start.error
                : null
            }
          />
          <StoveCautions batches={batches} />
          {outlook.data?.warnings.some((each) => each.id === 'too-warm') && !outlook.isError ? (
            <section
              aria-label="Before it is switched on"
              className="border-warmth flex flex-col gap-3 border-s-8 ps-4"
            >
              <p>
                <strong className="text-warmth">Stop. </strong>
                {outlook.data.warnings.find((each) => each.id === 'too-warm')?.says}
              </p>
              {outlook.data.instead.length > 0 ? (
                <div className="flex flex-wrap gap-3">
                  {outlook.data.instead.map((name) => (
                    <Button key={name} onClick={() => setPicked({ ...picked, setting: name, confirmed: '' })}>
                      Take {name}
                    </Button>
                  ))}
                </div>
              ) : null}
              <Field
                label="Or switch it on all the same, because"
                value={picked.confirmed ?? ''}
                maxLength={500}
                fault={start.error?.about('confirmed')}
                onChange={put('confirmed')}
              />
            </section>
          ) : null}
          <Button
            look="strong"
            type="submit"
            className="self-start"
            disabled={start.isPending || batches.length === 0 || cooker === undefined}
          >
            {simulated && Number(picked.speed ?? '1') > 1 ? 'Try it out' : 'Jars in, switch it on'}
          </Button>
        </form>
        <div className="border-line flex flex-col gap-3 lg:border-s lg:ps-8" aria-live="polite">
          <h3 className="column-head">What it will do</h3>
          {batches.length === 0 ? <p className="text-soft">Choose the jars, and it is reckoned here.</p> : null}
          {outlook.isError ? <Trouble problem={outlook.error} /> : null}
          {outlook.data && batches.length > 0 && !outlook.isError ? <Foretold outlook={outlook.data} /> : null}
        </div>
      </div>
    </section>
  )
}

function Foretold({ outlook }: { outlook: Shape<'PotOutlook'> }) {
  return (
    <>
      <div className="flex flex-wrap items-end gap-6">
        <div className="min-w-64 flex-1">
          <BathSide bath={outlook.bath} />
        </div>
        <BathTop bath={outlook.bath} />
      </div>
      <p className="text-lg">
        <strong>{outlook.pour_text}</strong> {outlook.stands_text}
      </p>
      <dl className="grid grid-cols-[auto_auto_1fr] items-baseline gap-x-5 gap-y-1">
        {outlook.lines.map((line) => (
          <div key={line.label} className="contents">
            <dt>{line.label}</dt>
            <dd className="figures text-xl font-semibold">{line.text}</dd>
            <dd className="text-soft">{line.range_text}</dd>
          </div>
        ))}
      </dl>
      <WarmthLine chart={outlook.chart} scale={outlook.scale} height={150} />
      {outlook.warnings.map((warning) => (
        <Notice key={warning.id} rank={warning.rank}>
          {warning.says}
        </Notice>
      ))}
      <p className="text-soft">{outlook.model}</p>
    </>
  )
}
