import { Link, useParams } from 'react-router'
import { type Shape, useHouseId, useOfHouse, useWrite } from '../api/hooks'
import { usePart } from '../frame/part'
import { useArrived } from '../parts/arrived'
import { useTypedOn } from '../parts/begun'
import { Button } from '../parts/Button'
import { CautionLine } from '../parts/Cautions'
import { Area } from '../parts/Field'
import { sent } from '../parts/form'
import { Trouble } from '../parts/Notice'

const OF: Record<string, string> = {
  plant: 'a plant',
  oil: 'an oil',
  method: 'a method',
  wax: 'a wax or butter',
  scent: 'an essential oil',
  product: 'a product',
  caution: 'a caution',
  fault: 'a fault',
  measure: 'a measure',
  school: 'a school',
}

export default function AlmanacPage() {
  const { kind = '', key = '' } = useParams()
  const house = useHouseId()
  const { works } = usePart()
  const page = useOfHouse(`/almanac/${kind}/${key}`)
  const { there, instead } = useArrived(page, 'the Almanac')
  if (!there) return instead
  const { name, says, facts, lines, cautions, own } = there
  return (
    <div className="flex flex-col gap-6">
      <header>
        <p className="text-soft">
          <Link className="underline" to={`/h/${house}/almanac?kind=${kind}`}>
            Almanac
          </Link>
          , {OF[kind] ?? kind}
        </p>
        <h1 className="text-3xl sm:text-4xl">{name}</h1>
        {says ? <p className="text-lg">{says}</p> : null}
      </header>
      <div className="border-line grid gap-x-8 gap-y-8 border-t pt-5 lg:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)]">
        <section aria-label="What is known" className="flex flex-col gap-4">
          <dl className="flex flex-col">
            {facts.map((fact) => (
              <div
                key={fact.name + fact.text}
                className="border-line grid gap-x-4 border-b py-2 sm:grid-cols-[12rem_1fr]"
              >
                <dt className="text-soft">{fact.name}</dt>
                <dd>
                  {fact.text}
                  <span className="text-soft block">{fact.source}</span>
                </dd>
              </div>
            ))}
          </dl>
          {lines.length > 0 ? (
            <ul className="list-disc ps-5">
              {lines.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          ) : null}
          {cautions.map((caution) => (
            <CautionLine key={caution.id} caution={caution} />
          ))}
        </section>
        <section aria-labelledby="ours" className="border-line flex flex-col gap-4 lg:border-s lg:ps-8">
          <h2 id="ours" className="column-head font-text text-base">
            In this house
          </h2>
          {own.length > 0 ? (
            <ul>
              {own.map((link) => (
                <li key={link.to + link.text} className="border-line border-b">
                  <Link className="flex min-h-11 items-center py-1.5 underline" to={`/h/${house}/${link.to}`}>
                    {link.text}
                  </Link>
                </li>
              ))}
            </ul>
          ) : null}
          {there.entered && works ? (
            <Link className="flex min-h-11 items-center underline" to={`/h/${house}/almanac/own/${key}/change`}>
              Change what is known of it
            </Link>
          ) : null}
          <Note key={`${there.kind}-${key}`} page={there} />
        </section>
      </div>
    </div>
  )
}

function Note({ page }: { page: Shape<'AlmanacPage'> }) {
  const house = useHouseId()
  const { works } = usePart()
  const write = useWrite<'PUT /houses/{house}/almanac/{kind}/{key}/note'>()
  const { typed, put, version, touched } = useTypedOn(
    { note: page.note },
    page.note_version,
    write.error?.status === 409,
  )
  if (!works)
    return page.note ? (
      <p>
        {page.note} <span className="text-soft">({page.note_by})</span>
      </p>
    ) : null
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={sent(() => {
        write.mutate({
          method: 'PUT',
          path: `/houses/${house}/almanac/${page.kind}/${page.key}/note`,
          body: { version, ...typed },
        })
      })}
    >
      <Area
        label="Our own note"
        hint={page.note_by && page.note ? `last by ${page.note_by}` : undefined}
        rows={5}
        maxLength={5000}
        value={typed.note}
        onChange={(e) => put({ note: e.target.value })}
      />
      <Trouble problem={write.error} />
      {touched ? (
        <Button type="submit" className="self-start" disabled={write.isPending}>
          Keep it
        </Button>
      ) : null}
    </form>
  )
}
