import { useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { useHouseId, useWrite } from '../api/hooks'
import { useSay } from '../frame/Say'
import { type LotFields, LotForm } from './LotForm'

export default function NewLot() {
  const house = useHouseId()
  const [query] = useSearchParams()
  const store = `kettle.lot.${house}`
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
      <LotForm
        first={first}
        problem={write.error}
        pending={write.isPending}
        done="Put it in Stores"
        onTyped={(fields) => localStorage.setItem(store, JSON.stringify(fields))}
        onDone={(lot) => write.mutate({ path: `/houses/${house}/lots`, body: { lot } })}
      />
    </div>
  )
}
