import { useState } from 'react'
import { Link } from 'react-router'
import { useHouseId } from '../api/hooks'
import { usePart } from '../frame/part'
import { Button, TextButton } from '../parts/Button'
import { Field, Select } from '../parts/Field'
import { sent } from '../parts/form'
import { Trouble } from '../parts/Notice'
import { Sheet } from '../parts/Sheet'
import { useLine } from './line'
import type { Making } from './MakingPage'
import { TryIt } from './TheSpoon'
import { capital } from '../parts/letters'

const HOW = [
  { id: 'used', name: 'used up' },
  { id: 'given', name: 'given away' },
  { id: 'sold', name: 'sold' },
  { id: 'thrown', name: 'thrown away' },
] as const

const WENT: Record<string, string> = { used: 'used up', given: 'given', sold: 'sold', thrown: 'thrown away' }

type How = (typeof HOW)[number]['id']

/** "; sold to the fair for £6.50" */
function WhereItWent({ tin: { state, to, price_text: price } }: { tin: Making['tins'][number] }) {
  const house = useHouseId()
  if (state === 'in') return null
  const held = to !== '' && (state === 'given' || state === 'sold')
  return (
    <>
      ; {WENT[state]}
      {held ? (
        <>
          {' to '}
          <Link className="underline underline-offset-4" to={`/h/${house}/trace/person/${encodeURIComponent(to)}`}>
            {to}
          </Link>
        </>
      ) : to === '' ? (
        ''
      ) : (
        `, ${to}`
      )}
      {price ? ` for ${price}` : ''}
    </>
  )
}

/** Every tin by its number: here, or where it went. */
export function Tins({ making }: { making: Making }) {
  const { works } = usePart()
  const [going, setGoing] = useState<number | null>(null)
  const [tried, setTried] = useState(false)
  return (
    <>
      <h2 className="column-head font-text text-base">
        {capital(making.vessel)}s, {making.tins_left} of {making.tins.length} here
      </h2>
      <ul>
        {making.tins.map((tin) => (
          <li
            key={tin.number}
            className="border-line flex flex-wrap items-center justify-between gap-x-4 border-b py-1"
          >
            <span className={tin.state === 'in' ? '' : 'text-soft'}>
              <strong className="figures">no. {tin.number}</strong>, {tin.ml_text}, {tin.net_text} in it
              <WhereItWent tin={tin} />
            </span>
            {works && tin.state === 'in' ? (
              <TextButton onClick={() => setGoing(tin.number)} aria-label={`Use, give or sell number ${tin.number}`}>
                Use, give or sell
              </TextButton>
            ) : null}
          </li>
        ))}
      </ul>
      {works && making.by_wax && making.stage === 'poured' ? (
        <TextButton className="self-start" onClick={() => setTried(true)}>
          Say how firm it is in use
        </TextButton>
      ) : null}
      <Goes key={going} making={making} number={going} close={() => setGoing(null)} />
      <Sheet open={tried} onOpenChange={setTried} title="In use">
        <TryIt making={making} inUse done={() => setTried(false)} />
        <p className="text-soft mt-3">The next one is planned by it.</p>
      </Sheet>
    </>
  )
}

function Goes({ making, number, close }: { making: Making; number: number | null; close: () => void }) {
  const [how, setHow] = useState<How>(making.stage === 'discarded' ? 'thrown' : 'used')
  const [to, setTo] = useState('')
  const [price, setPrice] = useState('')
  const { write, path } = useLine(making, close)
  return (
    <Sheet
      open={number !== null}
      onOpenChange={(open) => (open ? undefined : close())}
      title={`${making.code}, number ${number ?? ''}`}
    >
      <form
        className="flex flex-col gap-4"
        onSubmit={sent(() => {
          if (number !== null)
            write.mutate({
              path: `${path}/tins`,
              body: {
                tin: number,
                how,
                to,
                price: how === 'sold' && price.trim() !== '' ? price : null,
              },
            })
        })}
      >
        <Select label="It is" choices={[...HOW]} value={how} onChange={(e) => setHow(e.target.value as How)} />
        <Field
          label={how === 'given' || how === 'sold' ? 'To whom' : 'For what'}
          maxLength={160}
          value={to}
          onChange={(e) => setTo(e.target.value)}
        />
        {how === 'sold' ? (
          <Field
            label="For how much"
            value={price}
            fault={write.error?.about('price')}
            onChange={(e) => setPrice(e.target.value)}
          />
        ) : null}
        {write.error && !write.error.about('price') ? <Trouble problem={write.error} /> : null}
        <Button type="submit" look="strong" className="self-start" disabled={write.isPending}>
          Write it down
        </Button>
      </form>
    </Sheet>
  )
}
