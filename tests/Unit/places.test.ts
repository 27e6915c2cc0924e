import { readFileSync } from 'node:fs'
import { matchPath } from 'react-router'
import { expect, it } from 'vitest'
import places from '../../web/places.json'

it('has the code of every place', () => {
  const main = readFileSync('web/main.tsx', 'utf8')
  const known = [...main.matchAll(/'([a-z]+\/\w+)': place\(\(\) => import\('\.\/([a-z]+\/\w+)'\)\)/g)].map(
    ([, name, file]) => {
      expect(file).toBe(name)
      return name
    },
  )
  expect([...new Set(places.map(({ script }) => script))].sort()).toEqual([...known].sort())
})

it('puts an address with a name of its own before one that names what is looked at', () => {
  // The first that fits is fetched beside the page, while the router takes the one that fits best.
  for (const [i, { address }] of places.entries()) {
    const like = address.replaceAll(/:\w+/g, 'a-name')
    expect(places.findIndex((each) => matchPath(`/${each.address}`, `/${like}`))).toBe(i)
  }
})
