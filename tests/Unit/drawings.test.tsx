import { renderToStaticMarkup } from 'react-dom/server'
import { describe, expect, it } from 'vitest'
import type { Shape } from '../../web/api/hooks'
import { JarShape } from '../../web/parts/JarDrawing'
import { Thermometer, WarmthLine } from '../../web/stove/drawings'
import { columnsOf, passing } from '../../web/trace/Threads'

const numbers = (markup: string, pattern: RegExp) => [...markup.matchAll(pattern)].map((found) => Number(found[1]))

describe('a jar to scale', () => {
  const jar = { height_mm: 118, diameter_mm: 74, bed_mm: 50, level_mm: 93 }
  const drawn = (more: object = {}) =>
    renderToStaticMarkup(<JarShape jar={{ ...jar, ...more }} scale={2} x={10} foot={300} />)

  it('has every millimetre of the core’s two wide', () => {
    const [glass, oil, herb] = numbers(drawn(), /<rect[^>]* y="([\d.]+)"/g)
    // 300 less twice 118, 93 and 50.
    expect([glass, oil, herb]).toEqual([64, 114, 200])
    expect(numbers(drawn(), /<rect[^>]* width="([\d.]+)"/g)[0]).toBe(148)
  })

  it('is drawn no fuller than full, and empty with neither herb nor oil', () => {
    expect(numbers(drawn({ level_mm: 400 }), /<rect[^>]* y="([\d.]+)"/g)[1]).toBe(64)
    expect(drawn({ bed_mm: 0, level_mm: 0 })).not.toContain('var(--herb)')
    expect(drawn({ bed_mm: 0, level_mm: 0 })).not.toContain('stroke="var(--oil)"')
  })

  it('has a handle when it is a pan', () => {
    expect(drawn()).not.toContain('stroke-linecap')
    expect(drawn({ kind: 'pan' })).toContain('stroke-linecap')
  })
})

const scale = {
  low_c: 10,
  high_c: 70,
  band_low_c: 43,
  band_high_c: 55,
  band_text: '43 to 55 °C',
  ceiling_c: 60,
  ceiling_text: 'ceiling 60',
  ticks: [{ c: 10, text: '10' }],
} as Shape<'WarmthScale'>

describe('a thermometer', () => {
  const mercury = (reads: number | null) =>
    numbers(
      renderToStaticMarkup(<Thermometer scale={scale} reads={reads} text="it" />),
      /x="85" y="([\d.]+)" width="12"/g,
    )[0]

  it('stands where it reads, and no further than its glass', () => {
    // From 24 at 70 degrees to 500 at 10: 40 is half way.
    expect(mercury(40)).toBe(262)
    expect(mercury(70)).toBe(24)
    expect(mercury(90)).toBe(24)
    expect(mercury(-20)).toBe(500)
    expect(mercury(null)).toBeUndefined()
  })
})

describe('the line of a session', () => {
  const chart = (points: number[][]) =>
    renderToStaticMarkup(
      <WarmthLine
        chart={
          { from: 0, to: 36_000, points, model: [], marks: [], hours: [], now: 0 } as unknown as Shape<'WarmthChart'>
        }
        scale={scale}
      />,
    )

  it('is broken where nothing was measured for a while', () => {
    const steady = [0, 600, 1200, 1800].map((at) => [at, 45, 47, 46])
    const broken = [0, 600, 7200, 7800].map((at) => [at, 45, 47, 46])
    const lines = (points: number[][]) => chart(points).match(/stroke-width="2.6"/g)?.length
    expect(lines(steady)).toBe(1)
    expect(lines(broken)).toBe(2)
  })

  it('ends in a dot where the last reading was, and has none before the first', () => {
    expect(numbers(chart([[18_000, 45, 47, 46]]), /<circle cx="([\d.]+)"/g)).toEqual([320])
    expect(chart([])).not.toContain('<circle')
  })
})

describe('what touches what', () => {
  const thing = (id: string, kind: string) =>
    ({ id, kind, name: id }) as unknown as Shape<'TraceView'>['things'][number]
  const ids = (columns: { id: string }[][]) => columns.map((column) => column.map((each) => each.id).join(' '))

  it('stands from the plant to the person, each kind in its column', () => {
    const things = [thing('sam', 'person'), thing('herb', 'lot'), thing('first', 'batch'), thing('no. 1', 'bottle')]
    const arrows = [
      { from: 'herb', into: 'first' },
      { from: 'first', into: 'no. 1' },
      { from: 'no. 1', into: 'sam' },
    ]
    expect(ids(columnsOf({ things, arrows }))).toEqual(['herb', 'first', 'no. 1', 'sam'])
  })

  it('passes what a thread does not go into, by the nearest way where nothing stands', () => {
    // A box is 36 high about its middle, and 8 are between two.
    const clear = (y: number, stands: number[]) => stands.every((each) => Math.abs(each - y) > 18)
    // Nothing in the way: where it comes from. In the way of both: between two boxes, or past the lowest.
    expect(passing(100, 40, [160], 200)).toBe(100)
    expect(passing(142, 76, [76], 184)).toBe(98)
    expect(passing(76, 76, [32, 76, 120], 184)).toBe(54)
    for (const stands of [[76], [32, 76], [32, 76, 120, 164], [32, 164]])
      expect(clear(passing(76, 120, stands, 200), stands)).toBe(true)
    expect(passing(32, 32, [32], 40)).toBe(10)
    expect(passing(20, 20, [20], 40)).toBe(40)
  })

  it('has an oil that went on fresh herb after the bottles it came from', () => {
    const things = [
      thing('herb', 'lot'),
      thing('more herb', 'lot'),
      thing('first', 'batch'),
      thing('second', 'batch'),
      thing('no. 1', 'bottle'),
    ]
    const arrows = [
      { from: 'herb', into: 'first' },
      { from: 'more herb', into: 'second' },
      { from: 'first', into: 'no. 1' },
      { from: 'no. 1', into: 'second' },
    ]
    expect(ids(columnsOf({ things, arrows }))).toEqual(['herb more herb', 'first', 'no. 1', 'second'])
  })
})
