import { expect, test } from 'vitest'
import { cleared } from '../../web/parts/form'

const first = { level: '', at: '' }

test('a form that was sent is cleared, but for what was typed meanwhile', () => {
  const away = { level: '73 mm', at: '09:40' }
  expect(cleared(first, away, away)).toEqual(first)
  expect(cleared(first, { level: '51 mm', at: '09:40' }, away)).toEqual({ level: '51 mm', at: '' })
  // Nobody said what was sent: all of it goes.
  expect(cleared(first, { level: '51 mm', at: 'noon' }, null)).toEqual(first)
})
