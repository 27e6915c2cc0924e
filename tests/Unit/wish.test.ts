import { describe, expect, it, vi } from 'vitest'
import type { Shape } from '../../web/api/hooks'
import { saidSentence } from '../../web/bench/said'
import { barred, byMethod, herbsOf, jarLetGo, oilsOf, putOnBench, type Wish, without } from '../../web/bench/wish'
import { base64 } from '../../web/parts/base64'

const materials = {
  herbs: [{ id: 'calendula', name: 'calendula' }],
  forms: [{ id: 'flower-heads', name: 'flower heads or petals, dried' }],
  oils: [{ id: 'olive', name: 'olive oil' }],
  purposes: [{ id: 'skin', name: 'the skin' }],
  methods: [{ id: 'cold', name: 'cold shelf', schools: [{ id: 'usual', name: 'six weeks' }] }],
  not_offered: [{ id: 'hemlock-x', name: 'hemlock of the x' }],
  heeds: [
    { id: 'nuts', name: 'without nuts', detail: '', herbs: [], skin: [], oils: ['walnut'] },
    { id: 'child', name: 'for a child', detail: '', herbs: ['comfrey'], skin: ['rosemary'], oils: [] },
  ],
} as unknown as Shape<'Materials'>

const sentence = (wish: Partial<Wish>, fields: string[] = []) => {
  const whole = { herbs: [{ id: 'calendula' }], oils: ['olive'], ...wish } as Wish
  const { pieces, wrong } = saidSentence(whole, materials, [{ id: 'p', called: 'pint jar' }], fields)
  return { text: pieces.map((piece) => piece.text).join(''), wrong: [...wrong] }
}

describe('a wish', () => {
  it('has its herbs as a list, also where it was written when there was one', () => {
    expect(herbsOf({ herb: { id: 'sage' }, oils: [] } as unknown as Wish)).toEqual([{ id: 'sage' }])
    expect(herbsOf({ oils: [] } as unknown as Wish)).toEqual([])
    expect(oilsOf({ oils: ['olive', { id: 'jojoba', parts: 2 }, { name: 'mine' }] } as unknown as Wish)).toEqual([
      { id: 'olive' },
      { id: 'jojoba', parts: 2 },
      { id: '', name: 'mine' },
    ])
  })

  it('loses what is taken out, and is left for who comes next', () => {
    expect(without(['jar', 'jars'])).toEqual({ jar: null, jars: null })
    expect(without(undefined)).toEqual({})
    const kept = new Map<string, string>()
    const forgotten: string[] = []
    vi.stubGlobal('localStorage', { setItem: (key: string, value: string) => kept.set(key, value) })
    vi.stubGlobal('sessionStorage', { removeItem: (key: string) => forgotten.push(key) })
    putOnBench('h', { oils: ['olive'] } as unknown as Wish)
    expect(kept.get('kettle.bench.h')).toBe('{"oils":["olive"]}')
    // What it was for goes with what stood there before.
    expect(forgotten).toEqual(['kettle.wanted.bench'])
  })
})

describe('what is not offered', () => {
  it('follows whom it is for, and whether it is eaten', () => {
    const of = (wish: Partial<Wish>) => {
      const { herbs, oils } = barred({ herbs: [], oils: [], ...wish } as Wish, materials)
      return [[...herbs], [...oils]]
    }
    expect(of({})).toEqual([[], []])
    expect(of({ heed: ['nuts', 'child'] })).toEqual([['comfrey', 'rosemary'], ['walnut']])
    expect(of({ heed: ['child'], purpose: 'kitchen' })).toEqual([['comfrey'], []])
  })

  it('lets go of what was set for another way', () => {
    expect(byMethod('cold')).toMatchObject({ method: 'cold', school: null, hours: null, warmth: null, stands: null })
  })
})

describe('the sentence of a wish that cannot be reckoned', () => {
  it('is the cook’s own, in the order of every other', () => {
    expect(sentence({}).text).toBe('As much as fits of calendula oil for the skin, dried, in olive oil, cold shelf.')
    const wished = { jar: 'p', jars: '2', ratio: '1:5', school: 'usual', ready_by: '2026-12-05' }
    expect(sentence(wished).text).toBe(
      '2 of the pint jar of calendula oil for the skin, dried, herb to oil 1:5, in olive oil, cold shelf, six weeks, ' +
        'ready by Saturday 5 December.',
    )
    expect(sentence({ oil_amount: '300 mL', herbs: [{ id: 'calendula', amount: '50 g' }] }).text).toMatch(
      /^50 g of herb and 300 mL of oil of calendula/,
    )
    expect(
      sentence({
        heed: ['nuts', 'child'],
        hours: '7 h',
        warmth: '90 C',
        stands: '3 h',
        way: 'drained',
        strained: 'twice',
      }).text,
    ).toContain(
      'for the skin, without nuts and for a child, dried, in olive oil, cold shelf, 7 h at 90 C standing 3 h, drained',
    )
    expect(sentence({ finished: { count: '6', size: '50 mL' } }).text).toMatch(/^6 bottles of 50 mL of calendula/)
  })

  it('names what the tables do not know as it was typed', () => {
    expect(sentence({ herbs: [{ id: 'no-such' }], oils: ['some-oil'] }).text).toContain('no-such oil')
    // Of what kills no oil is offered, and it has its name.
    expect(sentence({ herbs: [{ id: 'hemlock-x' }], oils: [] }).text).toContain('hemlock of the x oil')
    expect(sentence({ herbs: [{ id: '', name: 'my weed' }] }).text).toContain('my weed oil')
  })

  it.each([
    ['herbs.0.form', 'form'],
    ['herb.water', 'form'],
    ['herbs.1.amount', 'amount'],
    ['herbs.0.id', 'herb'],
    ['oils.1', 'oils'],
    ['start', 'when'],
    ['ready_by', 'when'],
    ['by_jar.fill', 'amount'],
    ['jars', 'amount'],
    ['method', 'method'],
    ['hours', 'school'],
    ['warmth', 'school'],
    ['strained', 'way'],
    ['heed', 'heed'],
    ['school', 'school'],
  ])('marks the word that %s stands in', (field, slot) => {
    expect(sentence({}, [field]).wrong).toEqual([slot])
  })
})

it('sends the bytes of a file as they are, however many', async () => {
  const bytes = Uint8Array.from({ length: 70_000 }, (_, i) => i % 256)
  const text = await base64(new File([bytes], 'a.csv'))
  expect([...Buffer.from(text, 'base64')]).toEqual([...bytes])
  await expect(base64(new File([], 'none'))).resolves.toBe('')
})

describe('a way chosen for a jar that stands', () => {
  const jars = [
    { id: 'pint', kind: 'jar' },
    { id: 'wide', kind: 'pan' },
  ]
  const wish = { herbs: [{ id: 'calendula' }], oils: ['olive'], jar: 'pint' } as Wish

  it('lets a jar go that it has no place for', () => {
    expect(jarLetGo(wish, ['pan'], jars)).toEqual({ jar: null, jars: null })
  })

  it('keeps one it has a place for, and what it does not know', () => {
    expect(jarLetGo(wish, ['bowl', 'jar'], jars)).toEqual({})
    expect(jarLetGo({ ...wish, jar: 'of another house' }, ['pan'], jars)).toEqual({})
    expect(jarLetGo({ herbs: [], oils: [] } as unknown as Wish, ['pan'], jars)).toEqual({})
  })
})
