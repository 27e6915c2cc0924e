import { expect, type Page, test } from '@playwright/test'
import jsonld from 'jsonld'
import { demo, ownHouse, thatIsIt, word } from './support'

const api = (house: string) => house.replace('/h/', '/api/houses/')

/** A general JSON-LD processor, which is let fetch nothing. */
async function expand(document: unknown): Promise<Record<string, unknown>> {
  const expanded = await jsonld.expand(document as jsonld.JsonLdDocument, {
    documentLoader: (url: string) => Promise.reject(new Error(`It asked for ${url}.`)),
  })
  expect(expanded).toHaveLength(1)
  return expanded[0] as Record<string, unknown>
}

async function keep(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'Keep as a recipe' }).click()
  await page.getByLabel('Name', { exact: true }).fill(name)
  await page.getByRole('button', { name: 'Keep it', exact: true }).click()
  await expect(page.getByRole('heading', { name })).toBeVisible()
}

test('a recipe is kept, changed, shared and put back on the bench', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(house + '/recipes')
  await expect(page.getByRole('heading', { name: 'No recipes are kept yet.' })).toBeVisible()
  await page.goto(house + '/bench')
  await keep(page, 'Harbour hands')
  await page.getByRole('button', { name: 'Change name or note' }).click()
  await page.getByRole('dialog').getByLabel('Note').fill('Less jojoba next time.')
  await page.getByRole('button', { name: 'Keep it so' }).click()
  await expect(page.getByText('Recipe, version 2')).toBeVisible()
  await expect(page.getByText('Less jojoba next time.').first()).toBeVisible()
  await page.getByRole('button', { name: 'On the bench, as it was' }).last().click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('calendula')

  // A further version from the bench.
  await page.getByRole('button', { name: 'Keep as a recipe' }).click()
  await page.getByLabel('As', { exact: true }).selectOption({ label: 'the next version of Harbour hands' })
  await page.getByRole('button', { name: 'Keep it', exact: true }).click()
  await expect(page.getByText('Recipe, version 3')).toBeVisible()
  const download = page.waitForEvent('download')
  await page.getByRole('link', { name: 'As our own file' }).click()
  expect((await download).suggestedFilename()).toBe('harbour-hands.json')
})

test('a general JSON-LD processor expands what is written', async ({ page }) => {
  const house = await demo(page)
  const list = (await (await page.request.get(`${api(house)}/recipes`)).json()) as {
    recipes: { id: string; name: string }[]
  }
  expect(list.recipes.length).toBeGreaterThan(1)
  for (const { id, name } of list.recipes) {
    const document = (await (await page.request.get(`${api(house)}/recipes/${id}/recipe.jsonld`)).json()) as Record<
      string,
      unknown
    >
    const recipe = await expand(document)
    expect(recipe['@type']).toEqual(['https://schema.org/Recipe'])
    expect(recipe['https://schema.org/name']).toEqual([{ '@value': name }])
    // Every term is schema.org's: nothing is lost, and nothing is left unnamed.
    const terms = Object.keys(recipe).filter((key) => !key.startsWith('@'))
    expect(terms.length).toBe(Object.keys(document).filter((key) => !key.startsWith('@')).length)
    for (const term of terms) expect(term).toMatch(/^https:\/\/schema\.org\/[a-z]+[A-Za-z]*$/)
    const ingredients = recipe['https://schema.org/recipeIngredient'] as { '@value': string }[]
    expect(ingredients.map((each) => each['@value']).join(' ')).toMatch(/\d+ (g|mL)/)
    const steps = recipe['https://schema.org/recipeInstructions'] as { '@type': string[] }[]
    for (const step of steps) expect(step['@type']).toEqual(['https://schema.org/HowToStep'])
    // And compacted against the same context it is what was written.
    const compacted = await jsonld.compact(
      recipe as jsonld.NodeObject,
      document['@context'] as jsonld.ContextDefinition,
    )
    expect(compacted.name).toBe(name)
  }
})

test('a recipe written down is read, with every guess marked', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(house + '/recipes/read')
  await page.getByLabel('The recipe').fill('The sea is grey')
  await page.getByRole('button', { name: 'Read it' }).click()
  await expect(page.getByText(/Neither a herb nor an oil/)).toBeVisible()
  await page
    .getByLabel('The recipe')
    .fill('1 cup oil, 6 tbsp dried flowers\n20 ml sunflower oil\nin the dark for 4 weeks')
  await page.getByRole('button', { name: 'Read it' }).click()
  await expect(page.getByText(/written in two systems of measures/)).toBeVisible()
  await expect(page.getByRole('listitem').filter({ hasText: '1 cup oil' })).toContainText('a guess')
  await expect(page.getByRole('listitem').filter({ hasText: '20 ml sunflower oil' })).not.toContainText('a guess')
  await page.reload()
  await expect(page.getByLabel('The recipe')).toHaveValue(/6 tbsp dried flowers/)
  await page.getByRole('button', { name: 'Read it' }).click()
  await page.getByRole('button', { name: 'Put it on the bench' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('flowers')
  // Which oil was not written; none is taken for it.
  await expect(page.getByText('Which oil is not said. Choose it from the list.').first()).toBeVisible()
  await word(page, /^the oil: .*in the way/)
  await page.getByLabel('Oil', { exact: true }).selectOption('olive')
  await thatIsIt(page)
  // So little herb for so much oil is told, and a press makes it usual.
  await expect(page.getByText(/very little herb for the oil/)).toBeVisible()
  await page.getByRole('button', { name: /^Take 1:7 for the same oil/ }).click()
  await expect(page.getByText(/very little herb for the oil/)).toHaveCount(0)
})

test('a past batch is made again, twice as large', async ({ page }) => {
  const house = await demo(page)
  await page.goto(house + '/shelf')
  await page.getByRole('link', { name: /^Self-heal/ }).click()
  await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible()
  await page.getByRole('button', { name: 'Twice as much' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    /1\d{3}(\.\d)? mL of oil in a half-gallon jar: self-heal|mL of oil in/,
  )
  await page.goBack()
  await page.getByRole('button', { name: 'Another size' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('jar of self-heal oil')
})
