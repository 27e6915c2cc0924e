import { expect, it } from 'vitest'
import { namesOf, whole } from '../../web/offline/whole'

it('says what was done with all that was entered, and nothing of what was left blank', () => {
  expect(
    whole(
      'Strained',
      ['the empty jug', '412 g'],
      ['through', ''],
      ['at', null],
      ['in', undefined],
      '  ',
      'smells of hay',
    ),
  ).toBe('Strained; the empty jug 412 g; smells of hay')
  expect(whole('Done')).toBe('Done')
  expect(whole('Weigh the oil.', ['in went', '68 g'])).toBe('Weigh the oil; in went 68 g')
})

it('names what was chosen, by name or by what it says, and nothing else', () => {
  const list = [{ id: 'a', name: 'first' }, { id: 'b', says: 'second' }, { id: 'c' }]
  expect(namesOf(list, ['b', 'a'])).toBe('first, second')
  expect(namesOf(list, ['', 'elsewhere'])).toBe('')
})
