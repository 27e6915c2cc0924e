import { useState } from 'react'
import { useNavigate } from 'react-router'
import { type Shape, useHouseId, usePotWrite } from '../api/hooks'
import { usePart } from '../frame/part'
import { Button } from '../parts/Button'
import { Trouble } from '../parts/Notice'
import { Tick } from '../parts/Tick'
import { begun, type BoilWish, itsDecoction } from './wish'

/** Begins the pot as it is planned; of the whole long oil each stage is a pot of its own. */
export function Begin({ wish, view }: { wish: BoilWish; view: Shape<'BoilView'> }) {
  const house = useHouseId()
  const go = useNavigate()
  const { works } = usePart()
  const write = usePotWrite((pot) => void go(`/h/${house}/stove/boil/${pot.id}`))
  const [read, setRead] = useState('')
  if (!works) return null
  // Read is what stands there now: another herb has other cautions.
  const heed = view.notes.filter((note) => note.must_read)
  const says = heed.map((note) => note.says).join(' ')
  const wanted = view.figures['decoction.end_volume']?.value
  const whole = wish.what === 'long-oil' && wish.stage === 'whole'
  const pots = whole
    ? [
        ...(typeof wanted === 'number' ? [{ says: 'Begin the decoction', body: itsDecoction(wish, wanted) }] : []),
        { says: 'Begin the cleansing', body: begun(wish, 'cleanse') },
        { says: 'Begin the cooking', body: begun(wish, 'cook') },
      ]
    : [{ says: 'Begin it', body: begun(wish) }]
  return (
    <div className="flex flex-col gap-2">
      {heed.length > 0 ? (
        <Tick checked={read === says} onChange={(to) => setRead(to ? says : '')}>
          I have read this: {says}
        </Tick>
      ) : null}
      <div className="flex flex-wrap gap-2">
        {pots.map((pot) => (
          <Button
            key={pot.says}
            look={whole ? 'plain' : 'strong'}
            disabled={write.isPending}
            onClick={() =>
              write.mutate({
                path: `/houses/${house}/boils`,
                body: { ...pot.body, acknowledged: read === says ? heed.map((note) => note.id) : [] } as never,
              })
            }
          >
            {pot.says}
          </Button>
        ))}
      </div>
      <Trouble problem={write.error} />
    </div>
  )
}
