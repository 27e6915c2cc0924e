import { useHouseId, useWrite } from '../api/hooks'
import { Button } from '../parts/Button'
import { Area } from '../parts/Field'
import { sent } from '../parts/form'
import { useKept } from '../parts/kept'
import { Notice, Trouble } from '../parts/Notice'
import { ReadLines } from '../parts/ReadLines'
import type { ProductWish } from './wish'

const AS: Record<string, string> = {
  name: 'name',
  oil: 'oil',
  wax: 'wax',
  butter: 'butter',
  scent: 'scent',
  addition: 'goes in',
  step: 'step',
  unread: 'left out',
}

/** A product's recipe as it is written, read into the sentence with every guess marked. */
export function ReadIn({ put }: { put: (wish: ProductWish) => void }) {
  const house = useHouseId()
  const [text, setText] = useKept(`product.${house}`)
  const read = useWrite<'POST /houses/{house}/melt/read'>((answer) => put(answer.wish))
  const answer = read.data
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
      <form
        className="flex flex-col gap-4"
        onSubmit={sent(() => {
          read.mutate({ path: `/houses/${house}/melt/read`, body: { text } })
        })}
      >
        <Area
          label="The recipe"
          rows={7}
          maxLength={20_000}
          placeholder={'1 cup olive oil\n1/4 cup beeswax pellets\n20 drops lavender'}
          value={text}
          fault={read.error?.about('text')}
          hint="As it is written: a line for each thing."
          onChange={(event) => setText(event.target.value)}
        />
        {read.error && !read.error.about('text') ? <Trouble problem={read.error} /> : null}
        <Button type="submit" look="strong" className="self-start px-6" disabled={read.isPending}>
          Read it in
        </Button>
      </form>
      {answer && !read.error ? (
        <section aria-label="What was read" className="flex flex-col gap-3" role="status">
          {answer.notes.map((note) => (
            <Notice key={note} rank="care">
              {note}
            </Notice>
          ))}
          <ReadLines lines={answer.lines} as={AS} />
        </section>
      ) : null}
    </div>
  )
}
