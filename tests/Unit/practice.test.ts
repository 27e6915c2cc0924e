import { expect, it } from 'vitest'
import { readProgress } from '../../web/practice/progress'

const judged = { verdict: 'near', is: '60 g of herb.', slip: '', why: [] }
const TASKS = ['herb', 'oil']

it('begins at the first task where nothing was kept, or nothing that is understood', () => {
  for (const kept of [
    null,
    undefined,
    3,
    'x',
    [],
    { at: 'stir', done: 'all' },
    { done: { herb: null, oil: { answer: 3 } } },
  ])
    expect(readProgress(kept, TASKS)).toEqual({ at: 'herb', done: {} })
  expect(readProgress(null, [])).toEqual({ at: '', done: {} })
})

it('takes up what was kept of this jar, and nothing of another', () => {
  const kept = {
    at: 'oil',
    done: {
      herb: { answer: '55 g', judged },
      stir: { answer: '1', judged },
      oil: { answer: '3', judged: { ...judged, is: 3 } },
    },
  }
  expect(readProgress(kept, TASKS)).toEqual({ at: 'oil', done: { herb: { answer: '55 g', judged } } })
})
