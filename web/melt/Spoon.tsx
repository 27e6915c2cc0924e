import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { ask } from '../api/client'
import { useHouseId } from '../api/hooks'
import { Choice } from '../bench/editors/edit'
import { Button, TextButton } from '../parts/Button'
import { Field, Select } from '../parts/Field'
import { Figure } from '../parts/Figure'
import { Trouble, Waiting } from '../parts/Notice'
import { useSettled } from '../parts/settled'
import type { Choices, Product } from './wish'

export const VERDICTS = [
  { id: 'too-soft', name: 'Too soft', detail: 'the finger sinks in' },
  { id: 'right', name: 'Right', detail: 'gives, and can be scraped' },
  { id: 'too-hard', name: 'Too hard', detail: 'nothing comes off' },
]
export const FAR = [
  { id: 'a-little', name: 'a little' },
  { id: 'plainly', name: 'plainly' },
  { id: 'far', name: 'far' },
]

/** What is in the pot: as it was planned, or as the last mend left it. */
type Now = { mass: string; share: number; spoons: number }

/** The cold spoon: how it turned out, and what mends it by mass balance; again and again, from what is really there. */
export function Spoon({ plan, choices }: { plan: Product; choices: Choices }) {
  const house = useHouseId()
  const planned: Now = { mass: plan.figures.total_mass?.text ?? '', share: plan.rule.firmness, spoons: 0 }
  const [mended, setMended] = useState<Now | null>(null)
  const now = mended ?? planned
  const [mass, setMass] = useState('')
  const [verdict, setVerdict] = useState('')
  const [by, setBy] = useState('plainly')
  const [wax, setWax] = useState('beeswax')
  const [room, setRoom] = useState('')
  const [stuck, setStuck] = useState('')
  const asked = useSettled(
    {
      mass: mass.trim() === '' ? now.mass : mass,
      share: now.share,
      verdict,
      by,
      with: wax,
      ...(room.trim() === '' ? {} : { room }),
      ...(stuck.trim() === '' ? {} : { spoon: stuck }),
    },
    120,
  )
  const ready = verdict !== ''
  const mend = useQuery({
    queryKey: ['house', house, 'mend', asked],
    queryFn: ({ signal }) => ask(`/houses/${house}/melt/mend`, asked, signal),
    placeholderData: keepPreviousData,
    retry: false,
    enabled: ready && asked.verdict !== '',
  })
  const figures = mend.data?.figures as Product['figures'] | undefined
  const adds = (id: string) => Number(figures?.[id]?.value ?? 0) > 0.005
  const problem = mend.isError ? mend.error : null
  const isIn = () => {
    if (!figures || !mend.data) return
    setMended({ mass: figures.total_mass?.text ?? now.mass, share: mend.data.firmness, spoons: now.spoons + 1 })
    setMass('')
    setStuck('')
    setVerdict('')
  }
  return (
    <div className="grid gap-x-7 gap-y-6 lg:grid-cols-3">
      <div className="flex flex-col gap-3">
        <Choice
          legend="The drop on the cold spoon, after a minute"
          value={verdict}
          choices={VERDICTS}
          onChoose={setVerdict}
        />
        {verdict === 'too-soft' || verdict === 'too-hard' ? (
          <Choice legend="By how much" value={by} choices={FAR} onChoose={setBy} />
        ) : null}
      </div>
      <div className="flex flex-col gap-3">
        <Field
          label="In the pot now"
          placeholder={now.mass}
          value={mass}
          fault={problem?.about('mass')}
          onChange={(event) => setMass(event.target.value)}
        />
        <Field
          label="Went with the spoons"
          placeholder="nothing to speak of"
          value={stuck}
          fault={problem?.about('spoon')}
          hint="Such as 3 g."
          onChange={(event) => setStuck(event.target.value)}
        />
        <Field
          label="Room left in the pot"
          placeholder="enough"
          value={room}
          fault={problem?.about('room')}
          onChange={(event) => setRoom(event.target.value)}
        />
        <Select label="Wax at hand" value={wax} choices={choices.waxes} onChange={(e) => setWax(e.target.value)} />
      </div>
      <div aria-live="polite" className="flex flex-col gap-3">
        <h3 className="column-head font-text text-base">What mends it</h3>
        {now.spoons > 0 ? (
          <p className="text-soft">
            Mended {now.spoons === 1 ? 'once' : `${now.spoons} times`}: {now.mass} in the pot.{' '}
            <TextButton onClick={() => setMended(null)}>Back to the plan</TextButton>
          </p>
        ) : null}
        {!ready ? <p className="text-soft">Say how it turned out, and what is to go in is reckoned.</p> : null}
        {ready && mend.isLoading ? <Waiting what="the mending" /> : null}
        <Trouble problem={problem} />
        {ready && figures && !problem ? (
          <>
            {adds('take_out') ? (
              <p className="font-display text-2xl">
                Take out <Figure name="Take out" figure={figures.take_out} size="text-2xl" /> first.
              </p>
            ) : null}
            {adds('add_wax') ? (
              <p className="font-display text-2xl">
                Put in <Figure name="More wax" figure={figures.add_wax} size="text-2xl" /> more{' '}
                {choices.waxes.find((each) => each.id === wax)?.name ?? 'wax'}.
              </p>
            ) : null}
            {adds('add_oil') ? (
              <p className="font-display text-2xl">
                Put in <Figure name="More oil" figure={figures.add_oil} size="text-2xl" /> more oil.
              </p>
            ) : null}
            {!adds('add_wax') && !adds('add_oil') ? (
              <p className="font-display text-2xl">Nothing need go in.</p>
            ) : (
              <>
                <p>
                  That makes <Figure name="In all" figure={figures.total_mass} size="text-base" /> at{' '}
                  <Figure name="How firm" figure={figures.firmness} size="text-base" />. Melt it again, stir, and try
                  another spoon.
                </p>
                <Button look="strong" className="self-start" disabled={mend.isPlaceholderData} onClick={isIn}>
                  That is in
                </Button>
              </>
            )}
            <p className="text-soft">It is easier to put wax in than to take it out: begin lean when in doubt.</p>
          </>
        ) : null}
      </div>
    </div>
  )
}
