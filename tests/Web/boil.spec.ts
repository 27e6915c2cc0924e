import { expect, test } from '@playwright/test'
import { ownHouse } from './support'

test('the long oil is planned: amounts, the pot to scale, its days, and a pot that is too small is refused', async ({
  page,
}) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/bench`)
  await page.getByRole('link', { name: 'Boil it down' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Boiled down')
  await page.getByLabel('What is done').selectOption({ label: 'cleansing the oil' })
  await page.getByLabel('There is, or is wanted').fill('7.68 L')
  await page.getByLabel('It loses in an hour').fill('450 mL')
  await page.getByLabel('Hours a day').fill('')
  // Worked by hand: 1.92 kg of paste, 30.72 L of water, 68 hours, seven to twelve days.
  await expect(page.getByRole('button', { name: /^Herb paste: 1\.92 kg/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Water: 30\.72 L/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Hours of flame: 68\.3 h/ })).toBeVisible()
  await expect(page.getByText('7 days to 12 days')).toBeVisible()
  await expect(page.getByText(/Never pour water into hot oil/)).toBeVisible()
  await expect(page.getByText('Done when four agree')).toBeVisible()
  await page.getByRole('button', { name: /^Hours of flame/ }).click()
  await expect(page.getByText('450 mL an hour, as said.')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByLabel('The pot is wide, inside').fill('26 cm')
  await page.getByLabel('and high').fill('24 cm')
  await expect(page.getByText(/goes in, and to the brim this pot holds/).first()).toBeVisible()
  await page.getByLabel('There is, or is wanted').fill('1 L')
  await expect(
    page.getByRole('img', { name: /^A pot 260 mm wide and 240 mm high: would boil over at 216 mm/ }),
  ).toBeVisible()
  // What was typed stays.
  await page.reload()
  await expect(page.getByLabel('The pot is wide, inside')).toHaveValue('26 cm')
  await page.getByLabel('The pot is wide, inside').fill('wide')
  await expect(page.getByText(/cannot be read/).first()).toBeVisible()
})

test('a decoction goes by its hardest herb, a glycerin extract by weight, and a plant by its solvent', async ({
  page,
}) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/boil`)
  await page.getByRole('tab', { name: 'Decoction' }).click()
  await page.getByLabel('How hard').selectOption('very-hard')
  await page.getByLabel('It loses in an hour').fill('450')
  await expect(page.getByRole('button', { name: /^Herb: 100 g/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Water: 1\.6 L/ })).toBeVisible()
  await page.getByLabel('Herb', { exact: true }).selectOption({ label: 'oak bark' })
  await page.getByLabel('And another herb').selectOption({ label: 'lavender' })
  await expect(page.getByText(/Of unlike hardness in one pot/)).toBeVisible()
  await expect(page.getByText(/Scent goes off with the steam: lavender/)).toBeVisible()
  await page.getByRole('button', { name: 'Take lavender out' }).click()
  await expect(page.getByText(/Of unlike hardness in one pot/)).toHaveCount(0)

  await page.getByRole('tab', { name: 'Glycerin extract' }).click()
  await expect(page.getByRole('button', { name: /^Glycerin: 80 g/ })).toBeVisible()
  await page.getByLabel('The strained extract weighs').fill('65 g')
  await expect(page.getByRole('button', { name: /^Still to go off: 45 g/ })).toBeVisible()
  await page.getByLabel('Glycerin, per cent').fill('50')
  await expect(page.getByText(/it does not keep itself/)).toBeVisible()
  await page.getByLabel('Glycerin, per cent').fill('5')
  await expect(page.getByText(/With less it is a decoction/).first()).toBeVisible()

  // By the keyboard alone to the last.
  await page.getByRole('tab', { name: 'Glycerin extract' }).focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('tab', { name: 'At the pot' })).toBeFocused()
  await expect(page.getByLabel('Hours of flame so far')).toBeVisible()
  await page.keyboard.press('ArrowRight')
  await page.getByLabel('Plant').selectOption({ label: 'marshmallow root' })
  await expect(page.getByText(/Hot water takes more of it/)).toBeVisible()
  await page.getByLabel('For', { exact: true }).selectOption({ label: 'a salve or balm' })
  await expect(page.getByText(/A salve has no water in it/)).toBeVisible()
  await expect(page.getByText('not into that').first()).toBeVisible()
  await page.getByRole('link', { name: 'Plan it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('marshmallow root')
})

test('at the pot: marks tell the rate and the end, a rise is refused, and four signs agree or say why not', async ({
  page,
}) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/boil`)
  await page.getByRole('tab', { name: 'At the pot' }).click()
  await expect(page.getByText(/Two marks tell how much this pot loses/)).toBeVisible()
  const mark = async (h: string, at: string) => {
    await page.getByLabel('Hours of flame so far').fill(h)
    await page.getByLabel('It stands').fill(at)
    await page.getByRole('button', { name: 'Write a mark' }).click()
    await expect(page.getByText(`${h} h: ${at}`)).toBeVisible()
  }
  await page.getByLabel('The pot is wide, inside').fill('26 cm')
  await page.getByLabel('and high').fill('23.7 cm')
  await page.getByLabel('The water is gone at').fill('44 mm')
  await mark('0', '190 mm')
  await mark('2', '175 mm')
  await expect(page.getByText(/This pot loses/)).toBeVisible()
  await mark('4', '161 mm')
  await mark('6', '142 mm')
  await expect(page.getByText(/419 mL an hour, 360 mL to 478 mL/)).toBeVisible()
  await expect(page.getByText('of water still to go')).toBeVisible()
  await expect(page.getByRole('img', { name: /^The level by hours of flame, 4 marks/ })).toBeVisible()
  // A level that rises, and one over the rim.
  await mark('7', '150 mm')
  await expect(page.getByText(/Mark 5 stands higher than the one before it/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Take out the mark at 7 h' }).click()
  await expect(page.getByText(/419 mL an hour/)).toBeVisible()
  // A closed browser forgets nothing.
  await page.reload()
  await page.getByRole('tab', { name: 'At the pot' }).click()
  await expect(page.getByText(/419 mL an hour/)).toBeVisible()

  const says = page.getByRole('status')
  await page.getByLabel('A little paste in a flame').selectOption({ label: 'crackles' })
  await expect(says.getByText(/there is water in the paste yet/)).toBeVisible()
  await expect(says.getByText('Smell it, and look at its colour.')).toBeVisible()
  await page.getByLabel('A little paste in a flame').selectOption({ label: 'does not crackle' })
  await page.getByLabel('Froth', { exact: true }).selectOption({ label: 'stands on it' })
  await page.getByLabel('Paste between the fingers').selectOption({ label: 'rolls into a wick' })
  await page.getByLabel('Smell and colour').selectOption({ label: 'are right' })
  await expect(says.getByText(/All four agree: it is done/)).toBeVisible()
  await page.getByLabel('In', { exact: true }).selectOption({ label: 'butterfat' })
  await expect(says.getByText(/on butterfat it goes when it is done/)).toBeVisible()
  await page.getByLabel('Paste between the fingers').selectOption({ label: 'crumbles' })
  await expect(says.getByText(/It has gone past it/)).toBeVisible()
})
