import { useKeptDraft } from '../parts/draft'

/** What is to be boiled down, as it is typed; empty where nothing is said. */
export type BoilWish = {
  what: 'long-oil' | 'decoction' | 'glycerin'
  stage: string
  known: string
  amount: string
  hardness: string
  /** Of the decoction, and of the paste. */
  herbs: string[]
  paste: string[]
  liquid: string
  width: string
  height: string
  rate: string
  hours: string
  purpose: string
  share: string
  now: string
  carrier: string
  /** Pots of the house that the oil and the liquid of the cooking are poured from, by their ids. */
  oilFrom: string
  liquidFrom: string
}

export const FIRST: BoilWish = {
  what: 'long-oil',
  stage: 'whole',
  known: 'oil',
  amount: '1 L',
  hardness: 'medium',
  herbs: [],
  paste: [],
  liquid: 'decoction',
  width: '',
  height: '',
  rate: '',
  hours: '8',
  purpose: 'skin',
  share: '80',
  now: '',
  carrier: 'sesame',
  oilFrom: '',
  liquidFrom: '',
}

/** No amount is said: as much is made as goes into the pot. */
export const POT = 'pot'

/** What an amount can be of, and what it is to begin with. */
export const KNOWN: Record<BoilWish['what'], { id: string; name: string; amount: string }[]> = {
  'long-oil': [
    { id: 'oil', name: 'of oil', amount: '1 L' },
    { id: 'paste', name: 'of paste', amount: '250 g' },
    { id: 'decoction', name: 'of decoction', amount: '4 L' },
    { id: POT, name: 'as the pot holds', amount: '' },
  ],
  decoction: [
    { id: 'want', name: 'of decoction', amount: '400 mL' },
    { id: 'herb', name: 'of herb', amount: '100 g' },
    { id: 'water', name: 'of water', amount: '1600 mL' },
    { id: POT, name: 'as the pot holds', amount: '' },
  ],
  glycerin: [{ id: 'total', name: 'of extract and glycerin', amount: '100 g' }],
}

const drafted = (kept: unknown): BoilWish =>
  kept && typeof kept === 'object' ? { ...FIRST, ...(kept as Partial<BoilWish>) } : FIRST

export const useBoilDraft = (house: string) => useKeptDraft<BoilWish>(`kettle.boil.${house}`, drafted, (draft) => draft)

/** Puts something on the page that is opened next, beside what is usual or what was planned. */
export function putOnBoil(house: string, part: Partial<BoilWish>, beside: BoilWish = FIRST) {
  localStorage.setItem(`kettle.boil.${house}`, JSON.stringify({ ...beside, ...part }))
}

/** What a pot is begun with: what was planned; of the whole of it one stage. */
export const begun = (wish: BoilWish, stage = wish.stage) => asked({ ...wish, stage })

/** The decoction of a long oil, as a pot of its own. */
export const itsDecoction = (wish: BoilWish, ml: number) =>
  asked({ ...wish, what: 'decoction', known: 'want', amount: `${ml} mL` })

/** What is sent: only what the kind asks for. */
export function asked(wish: BoilWish) {
  const pot = { width: wish.width, height: wish.height, rate: wish.rate }
  const amount = wish.known === POT ? {} : { [wish.known]: wish.amount }
  const of = wish.herbs.length > 0 ? { herbs: wish.herbs } : { hardness: wish.hardness }
  if (wish.what === 'glycerin')
    return {
      what: wish.what,
      ...amount,
      ...(wish.herbs.length > 0 ? { herbs: wish.herbs } : {}),
      share: wish.share,
      extract_now: wish.now,
      rate: wish.rate,
    }
  if (wish.what === 'decoction') return { what: wish.what, ...amount, ...of, ...pot }
  const cooked = wish.stage === 'cleanse' ? {} : { liquid: wish.liquid, ...(wish.liquid === 'decoction' ? of : {}) }
  return {
    what: wish.what,
    stage: wish.stage,
    ...amount,
    ...cooked,
    ...pot,
    hours_a_day: wish.hours,
    purpose: wish.purpose,
    carrier: wish.carrier,
    // Only what is cooked is poured from another pot.
    ...(wish.stage === 'cook' && wish.oilFrom !== '' ? { oil_from: wish.oilFrom } : {}),
    ...(wish.stage === 'cook' && wish.liquidFrom !== '' ? { liquid_from: wish.liquidFrom } : {}),
    ...(wish.paste.length > 0 ? { paste_herbs: wish.paste } : {}),
  }
}
