import { renderToStaticMarkup } from 'react-dom/server'
import { describe, expect, it } from 'vitest'
import { PotToScale } from '../../web/boil/PotToScale'
import { slotOf } from '../../web/boil/Asks'
import { asked, FIRST } from '../../web/boil/wish'
import { partsOf, partsWished } from '../../web/melt/wish'
import { spread } from '../../web/parts/JarDrawing'

describe('what is asked of what is boiled down', () => {
  it('is only what its kind wants', () => {
    const typed = { ...FIRST, width: '26 cm', height: '24 cm', share: '60', now: '30 g' }
    expect(asked({ ...typed, stage: 'cleanse' })).toEqual({
      what: 'long-oil',
      stage: 'cleanse',
      oil: '1 L',
      width: '26 cm',
      height: '24 cm',
      rate: '',
      hours_a_day: '8',
      purpose: 'skin',
      carrier: 'sesame',
    })
    expect(asked({ ...typed, what: 'glycerin', known: 'total', amount: '100 g' })).toEqual({
      what: 'glycerin',
      total: '100 g',
      share: '60',
      extract_now: '30 g',
      rate: '',
    })
    expect(asked({ ...typed, what: 'decoction', known: 'want', amount: '1 L' })).toMatchObject({
      hardness: 'medium',
      want: '1 L',
    })
  })

  it('goes by its herbs where there are any, and by no hardness beside them', () => {
    const herbs = asked({ ...FIRST, what: 'decoction', known: 'want', herbs: ['oak-bark'] })
    expect(herbs).toMatchObject({ herbs: ['oak-bark'] })
    expect(herbs).not.toHaveProperty('hardness')
    // Cooked in milk there is no decoction.
    expect(asked({ ...FIRST, liquid: 'milk', herbs: [] })).not.toHaveProperty('hardness')
  })
})

describe('what is poured from another pot', () => {
  const poured = { ...FIRST, oilFrom: 'D1', liquidFrom: 'D2' }
  it('is asked of the cooking and of nothing else', () => {
    expect(asked({ ...poured, stage: 'cook' })).toMatchObject({ oil_from: 'D1', liquid_from: 'D2' })
    for (const wish of [
      { ...poured, stage: 'cleanse' },
      { ...poured, what: 'decoction' as const },
    ]) {
      expect(asked(wish)).not.toHaveProperty('oil_from')
      expect(asked(wish)).not.toHaveProperty('liquid_from')
    }
  })

  it('goes into a product by its pot, and comes back as it was', () => {
    const wished = [
      { boil: 'D1', percent: 5 },
      { id: 'honey', amount: '5 g' },
    ]
    expect(partsOf(wished)).toEqual([
      { id: 'boil.D1', percent: 5 },
      { id: 'honey', amount: '5 g' },
    ])
    expect(partsWished(partsOf(wished))).toEqual(wished)
  })
})

describe('the word that is in the way', () => {
  it.each([
    ['oil', 'long-oil', 'amount'],
    ['paste_herbs.0.id', 'long-oil', 'paste'],
    ['decoct.herbs.1.id', 'long-oil', 'liquid'],
    ['hardness', 'decoction', 'herbs'],
    ['hardness', 'long-oil', 'liquid'],
    ['herbs.0.id', 'glycerin', 'herbs'],
    ['width', 'decoction', 'pot'],
    ['oil_from', 'long-oil', 'carrier'],
    ['purpose', 'long-oil', 'purpose'],
  ] as const)('is, of %s of a %s, %s', (field, what, slot) => expect(slotOf(field, what)).toBe(slot))
})

describe('a pot to scale', () => {
  const pot = {
    starts_mm: 200,
    ends_mm: 50,
    over_mm: 270,
    height_mm: 300,
    diameter_mm: 200,
    goes_in_ml: 6000,
    layers: [
      { of: 'paste', ml: 300, mm: 10 },
      { of: 'liquid', ml: 5000, mm: 160 },
      { of: 'oil', ml: 900, mm: 30 },
    ],
  }
  it('has every level where the core has it', () => {
    const drawn = renderToStaticMarkup(<PotToScale pot={pot} done="water gone" liquid="water" />)
    // One to one: 300 mm high, its foot at 324.
    const levels = [...drawn.matchAll(/<line[^>]* y1="([\d.]+)"/g)].map((found) => Number(found[1]))
    expect(levels).toEqual([324 - 270, 324 - 200, 324 - 50])
    const layers = [...drawn.matchAll(/<rect[^>]* y="([\d.]+)"[^>]* height="([\d.]+)"/g)].map((found) =>
      found.slice(1).map(Number),
    )
    expect(layers).toEqual([
      [314, 10],
      [154, 160],
      [124, 30],
    ])
    expect(drawn).toContain('would boil over at 270 mm, begins at 200 mm, water gone at 50 mm')
  })

  it('pushes words apart that would lie on one another', () => {
    expect(spread([10, 12, 100], 36)).toEqual([10, 46, 100])
    expect(spread([50, 10], 36)).toEqual([50, 10])
  })
})
