import { useState } from 'react'
import { Link } from 'react-router'
import { useHouseId, useWrite } from '../api/hooks'
import { usePart } from '../frame/part'
import { Button, FileLink } from '../parts/Button'
import { CsvInput } from '../parts/CsvInput'
import { TakenFor, Trouble } from '../parts/Notice'

const WORDS = { added: 'added', changed: 'changed', same: 'left as it is', refused: 'Refused' }

export default function StoresFile() {
  const house = useHouseId()
  const { works } = usePart()
  const [csv, setCsv] = useState<{ name: string; text: string } | null>(null)
  const write = useWrite<'POST /houses/{house}/stores/csv'>()
  const send = (text: string, go: boolean) =>
    write.mutate({ path: `/houses/${house}/stores/csv`, body: { csv: text, do: go } })
  const preview = write.data
  return (
    <div className="flex max-w-4xl flex-col gap-6">
      <h1 className="text-4xl">Stores, from and to a file</h1>
      <section className="flex flex-col items-start gap-3">
        <h2 className="text-2xl">Out</h2>
        <p>Every lot as a line of CSV, to open in any spreadsheet.</p>
        <FileLink href={`/api/houses/${house}/stores.csv`} download>
          Stores as CSV
        </FileLink>
      </section>
      {works ? (
        <section className="border-line flex flex-col gap-4 border-t pt-5">
          <h2 className="text-2xl">In</h2>
          <p>
            The first line names the columns: kind, material and amount at least; called, form, state, low_at, price,
            got_how, got_where, got_on, opened_on, best_before, food_grade, allergens, note and left if you have them. A
            line with the id it went out with changes that lot, in the columns the file has; one without adds another.
            Nothing happens before you have seen what would.
          </p>
          <CsvInput
            label="A CSV file"
            onText={(text, name) => {
              setCsv({ name, text })
              send(text, false)
            }}
          />
          <Trouble problem={write.error} />
          {preview && csv && !write.error ? (
            <div className="flex flex-col gap-3" role="status">
              <p className="text-lg font-semibold">
                {csv.name}: {preview.says}
              </p>
              <TakenFor notes={preview.notes} />
              {preview.done ? (
                <Link className="font-semibold underline" to={`/h/${house}/stores`}>
                  To Stores
                </Link>
              ) : (
                <Button
                  look="strong"
                  className="self-start"
                  disabled={write.isPending || preview.added + preview.changed === 0}
                  onClick={() => send(csv.text, true)}
                >
                  Take in what is not refused
                </Button>
              )}
              <ul>
                {preview.rows.map((row) => (
                  <li key={row.line} className="border-line grid grid-cols-[4rem_6rem_1fr] gap-x-3 border-b py-1.5">
                    <span className="text-soft figures">line {row.line}</span>
                    <span className={row.what === 'refused' ? 'text-warmth font-semibold' : ''}>{WORDS[row.what]}</span>
                    <span>
                      <strong>{row.name}</strong> {row.says}
                    </span>
                  </li>
                ))}
              </ul>
            </div>
          ) : null}
        </section>
      ) : null}
    </div>
  )
}
