import type { Shape } from '../api/hooks'
import { useKeptDraft } from '../parts/draft'
import { planFor } from './wanted'

export type ProductWish = Shape<'ProductWish'>
export type Product = Shape<'Product'>
export type Choices = Shape<'MeltChoices'>
/** An oil that is not begun yet: its own wish, as far as it is said here. */
export type Infuse = {
  herbs: { id?: string; state?: string; [more: string]: unknown }[]
  oils: (string | { id?: string })[]
  method?: string | null
  [more: string]: unknown
}
export type OilWish = {
  id?: string
  batch?: string
  infuse?: Infuse
  parts?: number | string
  amount?: string | number
}
export type PartWish = {
  id: string
  share?: number
  percent?: number
  amount?: string | number
  parts?: number
  drops?: number
}

export const FIRST: ProductWish = { product: 'salve' }

const store = (house: string) => `kettle.melt.${house}`

/** The oils of a wish, each as an object. */
export const oilsOf = (wish: ProductWish): OilWish[] =>
  (wish.oils ?? []).map((oil) => (typeof oil === 'string' ? { id: oil } : (oil as OilWish)))

/** What a pot of the house is chosen by, among what else goes in. */
const BOIL = 'boil.'

/** One of the lists of a wish, each part as an object; what was boiled here by `boil.` and the id of its pot. */
export const partsOf = (list: readonly unknown[] | undefined): PartWish[] =>
  (list ?? []).map((part) => {
    if (typeof part === 'string') return { id: part }
    const { boil, ...rest } = part as PartWish & { boil?: string }
    return boil === undefined ? (rest as PartWish) : { ...rest, id: BOIL + boil }
  })

/** The same as the wish has it. */
export const partsWished = (parts: PartWish[]): Record<string, unknown>[] =>
  parts.map(({ id, ...rest }) => (id.startsWith(BOIL) ? { boil: id.slice(BOIL.length), ...rest } : { id, ...rest }))

/** What is sent and kept: without what was taken out. */
function tidy(wish: ProductWish): ProductWish {
  return Object.fromEntries(
    Object.entries(wish).filter(([, value]) => value !== null && value !== undefined && value !== ''),
  ) as ProductWish
}

const drafted = (kept: unknown): ProductWish =>
  kept && typeof kept === 'object' && !Array.isArray(kept) ? tidy(kept as ProductWish) : FIRST

/** The product that is being planned, kept as a draft. */
export const useDraft = (house: string) => useKeptDraft(store(house), drafted, tidy)

/** What there is to choose from, less what is barred by what it is to be without; what is in it already stays to be seen. */
export function offered(choices: Choices, wish: ProductWish): Choices {
  const bars = new Set(
    choices.heeds.filter((heed) => wish.heed?.includes(heed.id as 'nuts')).flatMap((heed) => heed.bars),
  )
  if (bars.size === 0) return choices
  const lists = [wish.waxes, wish.butters, wish.others].flatMap((list) => partsOf(list).map((part) => part.id))
  const here = new Set([...lists, ...oilsOf(wish).map((oil) => oil.id)])
  const left = <T extends { id: string }>(from: T[]) => from.filter((each) => !bars.has(each.id) || here.has(each.id))
  return {
    ...choices,
    oils: left(choices.oils),
    waxes: left(choices.waxes),
    butters: left(choices.butters),
    others: left(choices.others),
  }
}

/** Puts a wish on the Melt, to be seen there next. */
export function putOnMelt(house: string, wish: ProductWish): void {
  planFor('melt', null)
  localStorage.setItem(store(house), JSON.stringify(tidy(wish)))
}
