import { expect, it } from 'vitest'
import { asTyped, toSend } from '../../web/almanac/own'

it('sends nothing for what was left empty, and what was written as it was written', () => {
  expect(
    toSend({ kind: 'plant', name: 'sea holly', also: 'sea eryngo, eryngo;', latin: '', concerns: null, water: '70' }),
  ).toEqual({ kind: 'plant', name: 'sea holly', also: 'sea eryngo, eryngo;', concerns: null, water: '70' })
})

it('says that nobody looked, and that somebody found nothing, each as it is', () => {
  expect(toSend({ kind: 'plant', name: 'x', concerns: null }).concerns).toBeNull()
  expect(toSend({ kind: 'plant', name: 'x', concerns: [] }).concerns).toEqual([])
  expect('allergens' in toSend({ kind: 'oil', name: 'x', allergens: '' })).toBe(false)
})

it('types again what was kept', () => {
  const kept = {
    kind: 'oil' as const,
    id: 'own-mill-oil',
    name: 'mill oil',
    also: [],
    allergens: [],
    density: 0.915,
    sets_below: null,
    away: true,
    fatty_acids: { '18:1': 70 },
  }
  const typed = asTyped(kept)
  expect(typed).toEqual({
    kind: 'oil',
    name: 'mill oil',
    also: '',
    allergens: 'none',
    density: '0.915',
    fatty_acids: '18:1 70',
    sets_below: '',
  })
  expect(toSend(typed)).toEqual({
    kind: 'oil',
    name: 'mill oil',
    allergens: 'none',
    density: '0.915',
    fatty_acids: '18:1 70',
  })
})
