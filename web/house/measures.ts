export const MEASURES = [
  { id: 'metric', name: 'Metric: cup 250 mL, tablespoon 15 mL' },
  { id: 'us', name: 'US: cup 237 mL, tablespoon 14.8 mL' },
  { id: 'australian', name: 'Australian: cup 250 mL, tablespoon 20 mL' },
  { id: 'imperial', name: 'Imperial: cup 284 mL, pint 568 mL' },
]

export const ROLES = [
  { id: 'keeper', name: 'Keeper: everything' },
  { id: 'helper', name: 'Helper: plans, logs and presses' },
  { id: 'reader', name: 'Reader: looks only' },
]
