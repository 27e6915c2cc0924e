import { useState } from 'react'
import type { Shape } from '../api/hooks'
import { planFor } from '../melt/wanted'
import { keptDraft, useKeptDraft } from '../parts/draft'

export type Wish = Shape<'Wish'>
export type HerbWish = NonNullable<Wish['herbs']>[number]
export type OilWish = {
  id: string
  name?: string | null
  amount?: string | number | null
  parts?: string | number | null
  lot?: string | null
}

export const FIRST: Wish = { herbs: [{ id: 'calendula' }], oils: [{ id: 'sunflower-high-oleic' }] }

const store = (house: string) => `kettle.bench.${house}`

/** A change that takes parts of a wish out. */
export const without = (keys: readonly (keyof Wish & string)[] | undefined): Partial<Wish> =>
  Object.fromEntries((keys ?? []).map((key) => [key, null]))

/** What is not offered for whom it is, and for what it is to be without. */
export function barred(wish: Wish, materials: Shape<'Materials'>): { herbs: Set<string>; oils: Set<string> } {
  const heeds = materials.heeds.filter((heed) => wish.heed?.includes(heed.id as 'nuts'))
  return {
    herbs: new Set(heeds.flatMap((heed) => (wish.purpose === 'kitchen' ? heed.herbs : [...heed.herbs, ...heed.skin]))),
    oils: new Set(heeds.flatMap((heed) => heed.oils)),
  }
}

/** Whom it is for and what it is to be without, in the words of the sentence. */
export const heededOf = (wish: Wish, materials: Shape<'Materials'>): string =>
  materials.heeds
    .filter((heed) => wish.heed?.includes(heed.id as 'nuts'))
    .map((heed) => heed.name)
    .join(' and ')

/** By another method: what was set for the one before goes. */
export const byMethod = (method: string): Partial<Wish> => ({
  method,
  ...without(['school', 'hours', 'warmth', 'stands', 'cooled', 'spirit', 'shake']),
})

/** What is let go with a jar that a way has no place for, also before a plan has answered that knows of that jar. */
export function jarLetGo(
  wish: Wish,
  vessels: readonly string[],
  jars: readonly { id: string; kind: string }[],
): Partial<Wish> {
  const standing = jars.find((jar) => jar.id === wish.jar)
  return standing && !vessels.includes(standing.kind) ? without(['jar', 'jars']) : {}
}

/** The herbs of a wish: a list, or the one a wish of old had. */
export const herbsOf = (wish: Wish): HerbWish[] => wish.herbs ?? (wish.herb ? [wish.herb] : [])

/** The oils of a wish, each with its parts. */
export const oilsOf = (wish: Wish): OilWish[] =>
  wish.oils.map((oil) =>
    typeof oil === 'string' ? { id: oil } : { ...(oil as OilWish), id: (oil as OilWish).id ?? '' },
  )

/** Whether the oils say by themselves how much of each there is. */
export const isMeasured = (wish: Wish): boolean => oilsOf(wish).some((oil) => oil.amount)

/** The oils without how much there is of each: something else says the size. */
export const unmeasured = (wish: Wish): Wish['oils'] =>
  oilsOf(wish).map(({ amount: _amount, ...oil }) => oil) as Wish['oils']

/** Puts a wish on the bench, for whoever goes there next. */
export function putOnBench(house: string, wish: Wish): void {
  // What was there before may have been for a product that is wanted by a day; this is not, unless that is said next.
  planFor('bench', null)
  localStorage.setItem(store(house), JSON.stringify(wish))
}

/** What is sent and kept: without what was taken out, and with herbs always as a list. */
function tidy(wish: Wish): Wish {
  const { herb: _one, ...rest } = wish
  const kept = Object.entries({ ...rest, herbs: herbsOf(wish) }).filter(([, value]) => value !== null && value !== '')
  return Object.fromEntries(kept) as Wish
}

const drafted = (kept: unknown): Wish =>
  kept && typeof kept === 'object' && Array.isArray((kept as Wish).oils) ? tidy(kept as Wish) : FIRST

/** The wish on the bench, kept as a draft. */
export const useDraft = (house: string) => useKeptDraft(store(house), drafted, tidy)

/** The draft as it was left, to look at and not to change. */
export const useDraftAsItIs = (house: string): Wish => useState(() => drafted(keptDraft(store(house))))[0]
