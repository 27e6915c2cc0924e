import { useNavigate } from 'react-router'
import { useHouseId, useWrite } from '../api/hooks'
import { Button } from '../parts/Button'
import { Area } from '../parts/Field'
import { sent } from '../parts/form'
import { useKept } from '../parts/kept'
import { Notice, Trouble } from '../parts/Notice'
import { ReadLines } from '../parts/ReadLines'
import { isProduct, putThere } from './wish'
import { FileInput } from '../parts/FileInput'

const AS: Record<string, string> = {
  herb: 'herb',
  oil: 'oil',
  method: 'way',
  time: 'how long',
  name: 'name',
  step: 'step',
  unread: 'not read',
}

/** A recipe however it is written, read into a wish with every guess marked. */
export default function ReadRecipe() {
  const house = useHouseId()
  const [text, setText] = useKept(`recipe.${house}`)
  const read = useWrite<'POST /houses/{house}/recipes/read'>()
  const go = useNavigate()
  const answer = read.data
  return (
    <div className="flex flex-col gap-5">
      <h1 className="text-4xl">Read a recipe in</h1>
      <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
        <form
          className="flex flex-col gap-4"
          onSubmit={sent(() => {
            read.mutate({ path: `/houses/${house}/recipes/read`, body: { text } })
          })}
        >
          <Area
            label="The recipe"
            rows={12}
            maxLength={30_000}
            placeholder={'1 cup oil\n3 tbsp dried flowers\nleave in the dark 4 weeks'}
            value={text}
            fault={read.error?.about('text')}
            hint="As it is written: a line for each thing. Or a file of ours, or schema.org JSON-LD, pasted whole."
            onChange={(e) => setText(e.target.value)}
          />
          <FileInput
            label="Or a file"
            accept=".json,.jsonld,.txt,application/json,text/plain"
            onFile={(file) => file.text().then(setText)}
          />
          {read.error && !read.error.about('text') ? <Trouble problem={read.error} /> : null}
          <Button type="submit" look="strong" className="self-start px-6" disabled={read.isPending}>
            Read it
          </Button>
        </form>
        {answer && !read.error ? (
          <section aria-label="What was read" className="flex flex-col gap-3" role="status">
            <h2 className="text-2xl">{answer.name || 'A recipe without a name'}</h2>
            {answer.notes.map((note) => (
              <Notice key={note} rank="care">
                {note}
              </Notice>
            ))}
            <ReadLines lines={answer.lines} as={AS} />
            <Button
              look="strong"
              className="self-start"
              onClick={() => void go(`/h/${house}/${putThere(house, answer.wish)}`)}
            >
              Put it {isProduct(answer.wish) ? 'at the melt' : 'on the bench'}
            </Button>
          </section>
        ) : null}
      </div>
    </div>
  )
}
