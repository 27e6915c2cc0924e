import { useState } from 'react'
import { useHouseId, useWrite } from '../api/hooks'
import { Button, FileLink } from '../parts/Button'
import { Field } from '../parts/Field'
import { sent } from '../parts/form'
import { Trouble } from '../parts/Notice'

/** Everything out as one JSON file, and in again. */
export function OutAndIn() {
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
    </section>
  )
}
