import { expect, it } from 'vitest'
import { asTime } from '../../web/parts/day'

it.each([
  ['7', '07:00'],
  ['730', '07:30'],
  ['7:30', '07:30'],
  ['7.30', '07:30'],
  ['7am', '07:00'],
  ['10.30 p.m.', '22:30'],
  ['12 am', '00:00'],
  ['12pm', '12:00'],
  ['13 pm', '13 pm'],
  ['0 am', '0 am'],
  ['late', 'late'],
  ['', ''],
])('writes the time %s as %s', (typed, time) => {
  expect(asTime(typed)).toBe(time)
})
