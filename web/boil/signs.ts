/** The four signs of a long oil, and what may be seen of each. */
export const SIGNS = [
  {
    id: 'flame',
    name: 'A little paste in a flame',
    seen: [
      { id: 'quiet', name: 'does not crackle' },
      { id: 'crackles', name: 'crackles' },
    ],
  },
  {
    id: 'froth',
    name: 'Froth',
    seen: [
      { id: 'stands', name: 'stands on it' },
      { id: 'none', name: 'none, or gone' },
    ],
  },
  {
    id: 'wick',
    name: 'Paste between the fingers',
    seen: [
      { id: 'sticks', name: 'sticks' },
      { id: 'breaks', name: 'breaks' },
      { id: 'rolls', name: 'rolls into a wick' },
      { id: 'crumbles', name: 'crumbles' },
    ],
  },
  {
    id: 'senses',
    name: 'Smell and colour',
    seen: [
      { id: 'right', name: 'are right' },
      { id: 'raw', name: 'are raw yet' },
      { id: 'burnt', name: 'are burnt' },
    ],
  },
]
