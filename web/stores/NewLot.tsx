import { useRef, useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { useHouseId, useWrite } from '../api/hooks'
import { useSay } from '../frame/Say'
import { type LotFields, LotForm } from './LotForm'
import { LotLines } from './LotLines'

export default function NewLot() {
  const house = useHouseId()
  const [query] = useSearchParams()
  const store = `kettle.lot.${house}`
  // Counted, so that the long form begins anew with what a line was understood to say.
  const [mended, setMended] = useState<{ times: number; lot: LotFields }>()
  const form = useRef<HTMLElement>(null)
  const [first] = useState<LotFields>(() => {
    const asked = { kind: query.get('kind') ?? '', material: query.get('material') ?? '' }
    if (asked.kind) return asked
    try {
      return JSON.parse(localStorage.getItem(store) ?? '{"kind":"herb"}') as LotFields
    } catch {
      return { kind: 'herb' }
    }
  })
  const go = useNavigate()
  const say = useSay()
  const write = useWrite<'POST /houses/{house}/lots'>((answer) => {
    localStorage.removeItem(store)
    say({ text: `${answer.lot.left_text} of ${answer.lot.called} is in Stores.` })
    void go(`/h/${house}/stores/${answer.lot.id}`)
  })
  return (
    <div className="flex flex-col gap-5">
      <h1 className="text-4xl">Into Stores</h1>
      {query.get('kind') ? null : (
        <LotLines
          onLong={(lot) => {
            setMended((before) => ({ times: (before?.times ?? 0) + 1, lot }))
            form.current?.scrollIntoView({ block: 'start' })
            form.current?.focus()
          }}
        />
      )}
      <section
        ref={form}
        tabIndex={-1}
        aria-labelledby="long"
        className="border-line flex flex-col gap-4 border-t pt-5"
      >
        <h2 id="long" className="text-2xl">
          {query.get('kind') ? 'Field by field' : 'Or field by field'}
        </h2>
        <LotForm
          key={mended?.times ?? 0}
          first={mended?.lot ?? first}
          problem={write.error}
          pending={write.isPending}
          done="Put it in Stores"
          onTyped={(fields) => localStorage.setItem(store, JSON.stringify(fields))}
          onDone={(lot) => write.mutate({ path: `/houses/${house}/lots`, body: { lot } })}
        />
      </section>
    </div>
  )
}
