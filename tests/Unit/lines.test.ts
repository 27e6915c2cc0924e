import { expect, test } from 'vitest'
import { without } from '../../web/parts/lines'

test('takes each line out once, wherever it stands by now', () => {
  expect(without('a\n  b \na\nc', ['a', 'b'])).toBe('a\nc')
  expect(without('a\nb', ['c'])).toBe('a\nb')
  expect(without('a', ['a'])).toBe('')
})
