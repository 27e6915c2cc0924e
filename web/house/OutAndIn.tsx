import { useState } from 'react'
import { type Shape, useHouseId, useWrite } from '../api/hooks'
import { Button, FileLink } from '../parts/Button'
import { Field } from '../parts/Field'
import { sent } from '../parts/form'
import { Notice, Trouble } from '../parts/Notice'

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

/** Everything out as one JSON file, and in again. */
export function OutAndIn({ house: there }: { house: Shape<'HouseView'> }) {
  const house = useHouseId()
  const [file, setFile] = useState<File | null>(null)
  const write = useWrite<'POST /houses/{house}/import'>()
  return (
    <section className="flex flex-col gap-4" aria-labelledby="out">
      <h2 id="out" className="text-2xl">
        Out and in
      </h2>
      <p>Everything of the house but passwords, in one open JSON file.</p>
      <FileLink className="self-start" href={`/api/houses/${house}/export`} download>
        Export everything
      </FileLink>
      <form
        className="flex flex-col gap-3"
        onSubmit={sent(() => {
          void file?.text().then((raw) => write.mutate({ path: `/houses/${house}/import`, raw }))
        })}
      >
        <Field
          label="Take a file in"
          type="file"
          accept="application/json,.json"
          hint="What is here already stays as it is; a broken file changes nothing."
          onChange={(e) => setFile(e.target.files?.[0] ?? null)}
        />
        <Button type="submit" disabled={!file || write.isPending} className="self-start">
          {write.isPending ? 'Taking it in…' : 'Take it in'}
        </Button>
      </form>
      {write.data ? <p role="status">{write.data.says}</p> : null}
      <Trouble problem={write.error} />
      <Backups house={there} />
    </section>
  )
}
