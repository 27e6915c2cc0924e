import type { Problem } from '../../api/client'
import type { Choices, Product, ProductWish } from '../wish'

export type Edit = {
  wish: ProductWish
  change: (part: Record<string, unknown>) => void
  choices: Choices
  plan: Product | undefined
  problem: Problem | null
  /** The word is chosen: what it was changed in shuts. */
  done: () => void
}

/** The number somebody typed; blank for nothing, and what is none as it was typed, to be refused by name. */
export const number = (text: string) => {
  const plain = text.trim().replace(',', '.')
  return plain === '' ? undefined : Number.isFinite(Number(plain)) ? Number(plain) : plain
}

/** The first sentence about a slot or anything in it. */
export const about = (problem: Problem | null, slot: string) =>
  problem?.faults.find((fault) => fault.field === slot || fault.field.startsWith(`${slot}.`))?.sentence

export const Wrong = ({ says }: { says: string | undefined }) =>
  says ? (
    <p role="alert" className="text-warmth font-semibold">
      {says}
    </p>
  ) : null
