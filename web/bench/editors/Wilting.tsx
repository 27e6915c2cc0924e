import { useState } from 'react'
import { useHouseId, useWrite } from '../../api/hooks'
import { Button, TextButton } from '../../parts/Button'
import { Field } from '../../parts/Field'
import { sent } from '../../parts/form'
import { Notice, Trouble } from '../../parts/Notice'
import type { HerbWish } from '../wish'

type Props = { herb: HerbWish; form: string | undefined; put: (water: string) => void }

/** The wilting scale: weigh it when picked, weigh it now, and the water left is known. */
export function Wilting({ herb, form, put }: Props) {
  const house = useHouseId()
  const [weights, set] = useState({ fresh: '', now: '', hours: '' })
  const ask = useWrite<'POST /houses/{house}/wilting'>()
  const problem = ask.error
  const typed = (field: keyof typeof weights) => (event: { target: { value: string } }) =>
    set({ ...weights, [field]: event.target.value })
  const answer = ask.data
  const weigh = () => ask.mutate({ path: `/houses/${house}/wilting`, body: { form: form ?? null, ...weights } })
  return (
    <section className="border-line flex flex-col gap-3 border-y py-3" aria-label="The wilting scale">
      <h3 className="font-semibold">
        Weigh it as it wilts{herb.water ? `: ${herb.water} % water is reckoned with` : ''}
      </h3>
      <form className="flex flex-col gap-3" onSubmit={sent(weigh)}>
        <div className="grid grid-cols-3 gap-2">
          <Field label="Picked" placeholder="100 g" value={weights.fresh} onChange={typed('fresh')} />
          <Field label="Now" placeholder="70 g" value={weights.now} onChange={typed('now')} />
          <Field label="Since" placeholder="8 h" value={weights.hours} onChange={typed('hours')} />
        </div>
        <Button
          type="submit"
          className="self-start"
          disabled={ask.isPending || weights.fresh === '' || weights.now === ''}
        >
          Is it ready?
        </Button>
      </form>
      <Trouble problem={problem} />
      {answer && !problem ? (
        <div className="flex flex-col gap-2" role="status">
          <Notice rank={answer.verdict === 'not yet' ? 'care' : 'note'}>{answer.says}</Notice>
          <p>
            {answer.figures.water_now?.text} water left; worth {answer.figures.dry_equivalent?.text} of dry herb.
          </p>
          <TextButton className="self-start" onClick={() => put(String(answer.water))}>
            Reckon with {answer.water} % water
          </TextButton>
        </div>
      ) : null}
    </section>
  )
}
