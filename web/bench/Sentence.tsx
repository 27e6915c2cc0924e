import { type ReactNode, useRef } from 'react'
import { Panel } from '../parts/panels'

type Piece = { slot: string | null; text: string; chosen: boolean }

const NAMES: Record<string, string> = {
  amount: 'how much',
  jar: 'the jar',
  herb: 'the herb',
  purpose: 'what for',
  heed: 'for whom',
  form: 'how it is cut',
  states: 'how each herb is',
  ratio: 'herb to oil',
  oils: 'the oil',
  method: 'the way',
  spirit: 'spirit first',
  school: 'how long',
  way: 'how it is got out',
  when: 'when',
  kept: 'how it is kept',
  product: 'what is made',
  tins: 'how much',
  total: 'how much',
  firmness: 'how firm',
  bears_c: 'how warm it must bear',
  waxes: 'the wax',
  butters: 'the butter',
  others: 'what else goes in',
  essential_oils: 'the scent',
  for: 'for whom',
  done: 'what is done',
  carrier: 'the oil',
  paste: 'the herb of the paste',
  liquid: 'what it is cooked in',
  herbs: 'the herb',
  pot: 'the pot',
  hours: 'hours a day',
  share: 'how much glycerin',
  now: 'the strained extract',
}

/** A comma stays with the word before it: a word joiner, for a button may otherwise be broken after. */
const held = (text: string) => (/^[,.:]/.test(text) ? `\u2060${text}` : text)

/** A number stays with its unit. */
const joined = (text: string) => text.replace(/(\d) (?=%|g\b|kg\b|mL\b|L\b|°)/g, '$1\u00a0')

type Props = {
  pieces: Piece[]
  /** Slots of the words that are in the way. */
  wrong?: Set<string>
  /** Escape leaves a word as it was before it was opened. */
  leave: () => void
  open: string | null
  setOpen: (slot: string | null) => void
  editor: (slot: string) => ReactNode
  /** Words that are not in it yet, and can be put there. */
  more?: { slot: string; text: string }[]
}

/** The plan as a sentence whose words are changed in place. Words chosen for the cook are lighter. */
export function Sentence({ pieces, wrong, open, setOpen, leave, editor, more = [] }: Props) {
  const whole = useRef<HTMLParagraphElement>(null)
  return (
    <>
      {/* Read aloud, the heading is the sentence and nothing else; its words are changed in the line below it. */}
      <h1 className="sr-only">{pieces.map((piece) => piece.text).join('')}</h1>
      <p
        ref={whole}
        aria-label="The words of the plan"
        className="font-display text-[1.6rem] leading-[1.5] sm:text-[1.85rem] sm:leading-[1.45]"
      >
        {pieces.map((piece, index) =>
          piece.slot === null ? (
            <span key={`plain-${index}`}>{held(piece.text)}</span>
          ) : (
            <Slot
              key={piece.slot}
              piece={piece}
              slot={piece.slot}
              open={open === piece.slot}
              setOpen={setOpen}
              wrong={wrong?.has(piece.slot) ?? false}
              whole={whole}
              leave={leave}
              editor={editor}
            />
          ),
        )}
      </p>
      {more.length > 0 ? (
        <p className="text-soft -mt-4 flex flex-wrap gap-x-5">
          <span>It can have</span>
          {more.map(({ slot, text }) => (
            <span key={slot} className="inline-flex min-h-11 items-center sm:min-h-0">
              <Slot
                piece={{ slot, text, chosen: false }}
                slot={slot}
                open={open === slot}
                setOpen={setOpen}
                wrong={wrong?.has(slot) ?? false}
                whole={whole}
                leave={leave}
                editor={editor}
              />
            </span>
          ))}
        </p>
      ) : null}
    </>
  )
}

function Slot({
  piece,
  slot,
  open,
  wrong,
  whole,
  setOpen,
  leave,
  editor,
}: {
  piece: Piece
  slot: string
  open: boolean
  wrong: boolean
  whole: React.RefObject<HTMLParagraphElement | null>
} & Pick<Props, 'setOpen' | 'leave' | 'editor'>) {
  const word = useRef<HTMLSpanElement>(null)
  const turn = () => setOpen(open ? null : slot)
  return (
    <>
      {/* A span and not a button element: a button cannot be broken over two lines with the sentence. */}
      <span
        ref={word}
        role="button"
        tabIndex={0}
        className={`cursor-pointer rounded-sm underline underline-offset-[7px] ${wrong ? 'text-warmth decoration-warmth decoration-wavy decoration-2' : piece.chosen ? 'decoration-rim decoration-2' : 'text-soft decoration-soft decoration-dotted decoration-2'}`}
        aria-label={`${NAMES[slot] ?? slot}: ${piece.text}${wrong ? ', in the way' : ''}. Change it`}
        aria-haspopup="dialog"
        aria-expanded={open}
        onClick={turn}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' && event.key !== ' ') return
          event.preventDefault()
          turn()
        }}
      >
        {joined(piece.text)}
      </span>
      {/* Below the whole sentence, so that no word of it is covered while one is changed. */}
      {open ? (
        <Panel
          of={word}
          at={whole}
          label={NAMES[slot] ?? slot}
          className="bg-plate border-rim font-text z-30 flex max-h-[min(70vh,var(--radix-popover-content-available-height))] w-[min(25rem,94vw)] flex-col gap-3 overflow-auto rounded-rim border-2 p-4 text-base"
          shut={() => setOpen(null)}
          leave={leave}
          enterShuts
          padding={8}
          offset={8}
          align="start"
          shutter={
            <button type="button" className="border-rim bg-rim text-on-rim min-h-11 rounded-rim px-4 font-semibold">
              That is it
            </button>
          }
        >
          {editor(slot)}
        </Panel>
      ) : null}
    </>
  )
}
