import type { Shape } from '../api/hooks'
import type { HandsStep } from './Hands'

/** A kitchen card, one thing at a time: what to heed, what is weighed and poured with its figures, and then what is done. */
export const stepsOfCard = (card: Shape<'CardView'>): HandsStep[] => [
  ...card.notes.filter((note) => note.care).map((note) => ({ says: `Care. ${note.says}` })),
  ...card.amounts.map((row) => ({
    says: row.name,
    figures: [{ name: 'so much', is: row.amount }, ...(row.also === '' ? [] : [{ name: 'which is', is: row.also }])],
  })),
  ...card.steps.map((says) => ({ says })),
]
