import type { Shape } from '../api/hooks'
import { Notice } from '../parts/Notice'
import { EndHouse } from './Ending'
import { ComesIn, GoesOut } from './Carry'

/** Of the machine it runs on: when all of it was backed up. */
function Backups({ house }: { house: Shape<'HouseView'> }) {
  const { backup, nightly } = house
  return (
    <>
      <h3 className="text-xl">Backups</h3>
      {backup?.late ? (
        <Notice rank="care">Nothing was backed up since {backup.says}. Look at the machine it runs on.</Notice>
      ) : (
        <p>
          {backup ? `All of it was backed up ${backup.says}.` : 'Nothing was backed up yet.'}{' '}
          {nightly
            ? 'One is made each night, and kept for seven days and eight weeks.'
            : 'Whoever looks after the machine makes one with ./kettle backup.'}
        </p>
      )}
    </>
  )
}

/** Everything out as one file, and in again. */
export function OutAndIn({ house }: { house: Shape<'HouseView'> }) {
  return (
    <section className="flex flex-col gap-4" aria-labelledby="out">
      <h2 id="out" className="text-2xl">
        Out and in
      </h2>
      <GoesOut />
      <ComesIn />
      <Backups house={house} />
      <EndHouse house={house} />
    </section>
  )
}
