import { useState } from 'react'
import { useHouseId, useWrite } from '../api/hooks'
import { base64 } from '../parts/base64'
import { Button } from '../parts/Button'
import { Refused } from '../parts/Listed'
import { Trouble } from '../parts/Notice'

/** A thermometer's own log as CSV: what would be taken is seen first. */
export function ReadingsFile({ session }: { session: string }) {
  const house = useHouseId()
  const [csv, setCsv] = useState<string | null>(null)
  const [done, setDone] = useState(false)
  const write = useWrite<'POST /houses/{house}/stove/{session}/csv'>()
  const send = (text: string, go: boolean) =>
    write.mutate(
      { path: `/houses/${house}/stove/${session}/csv`, body: { csv: text, do: go } },
      { onSuccess: () => setDone(go) },
    )
  const taken = write.data
  return (
    <details>
      <summary className="min-h-11 py-2 font-semibold">Readings from a file</summary>
      <div className="flex flex-col gap-3">
        <label className="flex flex-col gap-1">
          CSV with a time and a temperature in each line; times without a zone are the house’s own
          <input
            type="file"
            accept=".csv,.tsv,.txt,text/csv"
            className="field"
            onChange={(event) => {
              const file = event.target.files?.[0]
              if (!file) return
              void base64(file).then((text) => {
                setCsv(text)
                send(text, false)
              })
            }}
          />
        </label>
        <Trouble problem={write.error} />
        {taken && csv ? (
          <div role="status" className="flex flex-col gap-2">
            <p>
              {done ? 'Taken in: ' : 'Would be taken in: '}
              <strong>{taken.taken}</strong>
              {taken.doubled > 0 ? `; ${taken.doubled} are there already` : ''}
              {taken.refused.length > 0 ? `; ${taken.refused.length} refused` : ''}.
            </p>
            {done || taken.taken === 0 ? null : (
              <Button className="self-start" disabled={write.isPending} onClick={() => send(csv, true)}>
                Take them in
              </Button>
            )}
            <Refused lines={taken.refused} />
          </div>
        ) : null}
      </div>
    </details>
  )
}
