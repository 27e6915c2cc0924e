import type { Shape } from '../api/hooks'

/** The questions of a guided check, one answer each. */
export function Questions({
  asks,
  answers,
  answer,
}: {
  asks: Shape<'AskView'>[]
  answers: Record<string, string>
  answer: (ask: string, answer: string) => void
}) {
  return (
    <>
      {asks.map((ask) => (
        <fieldset key={ask.id}>
          <legend className="font-semibold">{ask.asks}</legend>
          {ask.answers.map((each) => (
            <label key={each.id} className="border-line flex min-h-11 items-center gap-3 border-b py-1">
              <input
                type="radio"
                className="size-5 shrink-0"
                name={ask.id}
                checked={answers[ask.id] === each.id}
                onChange={() => answer(ask.id, each.id)}
              />
              {each.says}
            </label>
          ))}
        </fieldset>
      ))}
    </>
  )
}
