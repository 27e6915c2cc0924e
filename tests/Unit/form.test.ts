import { expect, test } from 'vitest'
import { cleared, rebased } from '../../web/parts/form'
import { keptOf } from '../../web/parts/kept'

const first = { level: '', at: '' }

test('a form that was sent is cleared, but for what was typed meanwhile', () => {
  const away = { level: '73 mm', at: '09:40' }
  expect(cleared(first, away, away)).toEqual(first)
  expect(cleared(first, { level: '51 mm', at: '09:40' }, away)).toEqual({ level: '51 mm', at: '' })
  // Nobody said what was sent: all of it goes.
  expect(cleared(first, { level: '51 mm', at: 'noon' }, null)).toEqual(first)
})

test('what was typed is kept on what another changed meanwhile, and what both changed is told before it is written over', () => {
  const was = { name: 'Una', room: '18 °C', days: ['', ''] }
  // The other changed what was not touched here.
  expect(rebased(was, { ...was, room: '21 °C' }, { ...was, name: 'Una’s' }, false)).toEqual({
    name: 'Una’s',
    room: '21 °C',
    days: ['', ''],
  })
  // Both changed a list: alike is no clash, differently is one until it was told.
  const typed = { ...was, days: ['', '-'] }
  expect(rebased(was, { ...was, days: ['', '-'] }, typed, false)).toEqual(typed)
  expect(rebased(was, { ...was, days: ['-', ''] }, typed, false)).toBeNull()
  expect(rebased(was, { ...was, days: ['-', ''], room: '21 °C' }, typed, true)).toEqual({ ...typed, room: '21 °C' })
})

test('what was kept of a form is what it still has, of the sort it has it', () => {
  const form = { amount: '', again: false, counts: {} as Record<string, string> }
  expect(keptOf(form, null)).toEqual({})
  expect(keptOf(form, '{"amount":"260 mL","counts":{"30":"2"}}')).toEqual({ amount: '260 mL', counts: { 30: '2' } })
  // Kept by an older page, by another, or broken off: as if nothing were kept.
  expect(keptOf(form, '{"amount":3,"again":"no","counts":["2"],"jug":"413 g"}')).toEqual({})
  for (const other of ['260 mL', '260', 'null', '"x"', '{"amount":', '[]']) expect(keptOf(form, other)).toEqual({})
})
