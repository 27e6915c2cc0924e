import { expect, type Page, test } from '@playwright/test'
import { clock, ownHouse } from './support'

/** Opens a word of the sentence, changes it, and shuts it. */
async function word(page: Page, name: string, change: (panel: ReturnType<Page['getByRole']>) => Promise<unknown>) {
  await page.getByRole('button', { name: new RegExp(`^${name}: .*Change it$`) }).click()
  const panel = page.getByRole('dialog')
  await change(panel)
  await panel.getByRole('button', { name: 'That is it' }).click()
  await expect(panel).toHaveCount(0)
}

test('the long oil is planned: amounts, the pot to scale, its days, and a pot that is too small is refused', async ({
  page,
}) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/bench`)
  await page.getByRole('link', { name: 'Boil it down' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    /^Decoction, cleansing and cooking of 1 L of sesame oil/,
  )
  await word(page, 'what is done', (at) => at.getByLabel('What is done').selectOption({ label: 'cleansing the oil' }))
  await word(page, 'how much', (at) => at.getByLabel('There is, or is wanted').fill('7.68 L'))
  await word(page, 'the pot', (at) => at.getByLabel('It loses in an hour').fill('450 mL'))
  await word(page, 'hours a day', (at) => at.getByLabel('Hours a day').fill(''))
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    'Cleansing 7.68 L of sesame oil, with a paste of a herb, in a pot not measured that loses 450 mL an hour, ' +
      '6 to 10 hours a day, for the skin.',
  )
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
  await word(page, 'the pot', async (at) => {
    await at.getByLabel('The pot is wide, inside').fill('26 cm')
    await at.getByLabel('and high').fill('24 cm')
  })
  await expect(page.getByText(/goes in, and to the brim this pot holds/).first()).toBeVisible()
  // Refused, the sentence stands, and the word that is in the way is marked.
  await expect(
    page.getByRole('button', { name: /^the pot: a pot 26 cm wide and 24 cm high.*, in the way\. Change it$/ }),
  ).toBeVisible()
  await word(page, 'how much', (at) => at.getByLabel('There is, or is wanted').fill('1 L'))
  await expect(
    page.getByRole('img', { name: /^A pot 260 mm wide and 240 mm high: would boil over at 216 mm/ }),
  ).toBeVisible()
  // What was typed stays.
  await page.reload()
  await word(page, 'the pot', async (at) => {
    const wide = at.getByLabel('The pot is wide, inside')
    await expect(wide).toHaveValue('26 cm')
    await wide.fill('wide')
    await expect(at.getByText(/cannot be read/).first()).toBeVisible()
  })
  await expect(page.getByText(/cannot be read/).first()).toBeVisible()
  // Escape leaves a word as it was before it was opened.
  await page.getByRole('button', { name: /^how much: 1 L of/ }).click()
  await page.getByLabel('There is, or is wanted').fill('9 L')
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: /^how much: 1 L of/ })).toBeVisible()
})

test('a decoction goes by its hardest herb, a glycerin extract by weight, and a plant by its solvent', async ({
  page,
}) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/boil`)
  await page.getByRole('tab', { name: 'Decoction' }).click()
  await word(page, 'the herb', (at) => at.getByLabel('How hard').selectOption('very-hard'))
  await word(page, 'the pot', (at) => at.getByLabel('It loses in an hour').fill('450'))
  await expect(page.getByRole('button', { name: /^Herb: 100 g/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Water: 1\.6 L/ })).toBeVisible()
  await word(page, 'the herb', async (at) => {
    await at.getByLabel('Herb', { exact: true }).selectOption({ label: 'oak bark' })
    await at.getByLabel('Herb, and another').selectOption({ label: 'lavender' })
  })
  await expect(page.getByRole('heading', { level: 1 })).toContainText('decoction, of oak bark and lavender, in a pot')
  await expect(page.getByText(/Of unlike hardness in one pot/)).toBeVisible()
  await expect(page.getByText(/Scent goes off with the steam: lavender/)).toBeVisible()
  await word(page, 'the herb', (at) => at.getByRole('button', { name: 'Take lavender out' }).click())
  await expect(page.getByText(/Of unlike hardness in one pot/)).toHaveCount(0)

  await page.getByRole('tab', { name: 'Glycerin extract' }).click()
  await expect(page.getByRole('button', { name: /^Glycerin: 80 g/ })).toBeVisible()
  await word(page, 'the strained extract', (at) => at.getByLabel('The strained extract weighs').fill('65 g'))
  await expect(page.getByRole('button', { name: /^Still to go off: 45 g/ })).toBeVisible()
  await word(page, 'how much glycerin', (at) => at.getByLabel('Glycerin, per cent').fill('50'))
  await expect(page.getByText(/it does not keep itself/)).toBeVisible()
  await word(page, 'how much glycerin', (at) => at.getByLabel('Glycerin, per cent').fill('5'))
  await expect(page.getByText(/With less it is a decoction/).first()).toBeVisible()

  // By the keyboard alone to the last.
  await page.getByRole('tab', { name: 'Glycerin extract' }).focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('tab', { name: 'Which solvent' })).toBeFocused()
  await page.getByLabel('Plant').selectOption({ label: 'marshmallow root' })
  await expect(page.getByText(/Hot water takes more of it/)).toBeVisible()
  await page.getByLabel('For', { exact: true }).selectOption({ label: 'a salve or balm' })
  await expect(page.getByText(/A salve has no water in it/)).toBeVisible()
  await expect(page.getByText('not into that').first()).toBeVisible()
  // What is boiled down of it is planned where it is asked.
  await page.getByLabel('For', { exact: true }).selectOption({ label: 'anything' })
  await page.getByRole('link', { name: 'Plan it in hot water' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    '400 mL of decoction, of marshmallow root, in a pot not measured.',
  )
  await page.goto(`${house}/almanac/which-solvent?plant=marshmallow-root`)
  await page.getByRole('link', { name: 'Plan it in glycerin and water' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    /^100 g of glycerin extract of marshmallow root, 80 %/,
  )
  await page.goto(`${house}/almanac/which-solvent?plant=marshmallow-root`)
  await page.getByRole('link', { name: 'Plan it in oil' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('marshmallow root')
})

test('a long oil is begun, marked, covered for the night, strained when four signs agree, and is an oil of the house', async ({
  page,
}) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/boil`)
  await word(page, 'what is done', (at) => at.getByLabel('What is done').selectOption({ label: 'cooking the oil' }))
  await word(page, 'the pot', async (at) => {
    await at.getByLabel('The pot is wide, inside').fill('30 cm')
    await at.getByLabel('and high').fill('25 cm')
  })
  await word(page, 'the herb of the paste', (at) =>
    at.getByLabel('Herb of the paste', { exact: true }).selectOption({ label: 'marshmallow root' }),
  )
  await word(page, 'the oil', (at) => expect(at.getByLabel('In which oil')).toHaveValue('sesame'))
  // As much as the pot holds, half way up; and then the litre there is.
  await word(page, 'how much', (at) => at.getByLabel('That is so much').selectOption({ label: 'as the pot holds' }))
  await expect(page.getByRole('button', { name: /^Oil: 1\.7 L/ })).toBeVisible()
  await word(page, 'how much', (at) => at.getByLabel('That is so much').selectOption({ label: 'of oil' }))
  await expect(page.getByRole('button', { name: /^Oil: 1 L/ })).toBeVisible()
  await page.getByRole('button', { name: 'Begin it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Long oil of marshmallow root in sesame oil')
  await expect(page.getByText('Put it over the flame.')).toBeVisible()
  await expect(page.getByRole('img', { name: /^A pot 300 mm wide/ })).toBeVisible()

  // By the keyboard: over the flame.
  await page.keyboard.press('o')
  await expect(page.getByText(/^Done about 16:/)).toBeVisible()
  const level = page.getByLabel('It stands')
  await level.fill('73 mm')
  await page.getByRole('button', { name: 'Write a mark' }).dblclick()
  await expect(page.getByText('Mark: 73 mm, 5.16 L', { exact: true })).toHaveCount(1)
  await clock(page, '2026-11-24T14:10:00Z')
  await level.fill('51 mm')
  await page.getByRole('button', { name: 'Write a mark' }).click()
  await expect(page.getByText(/This pot loses/)).toContainText(/by 2 marks/)
  await expect(page.getByRole('img', { name: /^The level, 2 marks; done about/ })).toBeVisible()
  // It does not rise by itself; a warmth that climbs says that the water is gone.
  await level.fill('60 mm')
  await page.getByRole('button', { name: 'Write a mark' }).click()
  await expect(page.getByText(/It stood lower before/)).toBeVisible()
  await level.fill('')
  await page.getByLabel('How warm it is').fill('102')
  await page.getByRole('button', { name: 'Write it down' }).first().click()
  await expect(page.getByText(/the water is gone\. Off the flame/)).toBeVisible()
  await page.getByRole('button', { name: 'Off, covered' }).click()
  await expect(page.getByRole('heading', { name: 'Off the flame, covered' })).toBeVisible()
  // The next morning it stands as it stood, and the Stove and today tell of it.
  await clock(page, '2026-11-25T09:10:00Z')
  await page.goto(`${house}/today`)
  await expect(page.getByRole('region', { name: 'Boiled down' })).toContainText('On again')
  await page.goto(`${house}/stove`)
  await page.getByRole('link', { name: /Long oil of marshmallow root/ }).click()
  await expect(page.getByText('still to go off')).toBeVisible()

  await page.getByRole('button', { name: 'On again' }).click()
  await page.getByRole('button', { name: 'Strain it' }).click()
  const sheet = page.getByRole('dialog')
  await sheet.getByLabel('There is of it').fill('900 mL')
  await sheet.getByRole('button', { name: 'Strained', exact: true }).click()
  await expect(sheet.getByText(/The four signs do not agree/)).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('l')
  await sheet.getByLabel('A little paste in a flame').selectOption({ label: 'does not crackle' })
  await sheet.getByLabel('Froth').selectOption({ label: 'stands on it' })
  await sheet.getByLabel('Paste between the fingers').selectOption({ label: 'breaks' })
  await sheet.getByRole('button', { name: 'That is what is seen' }).click()
  await expect(page.getByRole('status').getByText(/breaks before it is a wick/)).toBeVisible()
  await page.getByRole('button', { name: 'Look at the signs' }).click()
  await sheet.getByLabel('Paste between the fingers').selectOption({ label: 'rolls into a wick' })
  await sheet.getByLabel('Smell and colour').selectOption({ label: 'are right' })
  await sheet.getByRole('button', { name: 'That is what is seen' }).click()
  await expect(page.getByText(/All four agree: it is done/)).toBeVisible()
  await page.getByRole('button', { name: 'Strain it' }).click()
  // What was typed is there yet.
  await expect(sheet.getByLabel('There is of it')).toHaveValue('900 mL')
  await sheet.getByRole('button', { name: 'Strained', exact: true }).click()
  await page.getByRole('link', { name: 'its bottles and labels' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('arshmallow root')
})

test('a decoction has three days, is taken from, and is not to be used after', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/boil`)
  await page.getByRole('tab', { name: 'Decoction' }).click()
  await page.getByRole('button', { name: 'Begin it' }).click()
  await page.getByRole('button', { name: 'Over the flame' }).click()
  await page.getByRole('button', { name: 'Strain it' }).click()
  const sheet = page.getByRole('dialog')
  await sheet.getByLabel('There is of it').fill('a lot')
  await sheet.getByRole('button', { name: 'Strained', exact: true }).click()
  await expect(sheet.getByText(/a lot/)).toBeVisible()
  await sheet.getByLabel('There is of it').fill('390 mL')
  await sheet.getByLabel('Where it stands').fill('the refrigerator')
  await sheet.getByRole('button', { name: 'Strained', exact: true }).click()
  await expect(page.getByText('Good until 27 Nov 2026.')).toBeVisible()
  await page.getByLabel('Take of it').fill('150 mL')
  await page.getByLabel('For what').fill('a cream')
  await page.getByRole('button', { name: 'Taken' }).click()
  await expect(page.getByText('240 mL').first()).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect(page.getByText('390 mL').first()).toBeVisible()
  await clock(page, '2026-11-29T10:10:00Z')
  await page.goto(`${house}/today`)
  const past = page.getByRole('region', { name: 'Boiled down' })
  await expect(past).toContainText('Not to be used')
  // Nothing is taken of it any more; thrown away, nothing asks for it.
  await past.getByRole('link').click()
  await expect(page.getByLabel('Take of it')).toHaveCount(0)
  await page.getByRole('button', { name: 'Throw it away' }).click()
  await sheet.getByLabel('Why').fill('past its day')
  await sheet.getByRole('button', { name: 'Throw it away' }).click()
  await expect(page.getByText('Thrown away.', { exact: true }).first()).toBeVisible()
  await page.goto(`${house}/today`)
  await expect(page.getByRole('region', { name: 'Boiled down' })).toHaveCount(0)
})

test('a cleansed oil and a decoction go on into a long oil and a cream, and each is found from the other', async ({
  page,
}) => {
  const house = await ownHouse(page)
  /** Begun as it is planned, strained to so much. */
  const strained = async (amount: string) => {
    await page.getByRole('button', { name: 'Begin it' }).click()
    await page.getByRole('button', { name: 'Over the flame' }).click()
    await page.getByRole('button', { name: 'Strain it' }).click()
    const sheet = page.getByRole('dialog')
    await sheet.getByLabel('There is of it').fill(amount)
    await sheet.getByRole('button', { name: 'Strained', exact: true }).click()
    const anyway = sheet.getByLabel('Strain it all the same')
    const made = page.getByText(`of ${amount}, strained`)
    await expect(made.or(anyway)).toBeVisible()
    if (await anyway.isVisible()) {
      await anyway.check()
      await sheet.getByRole('button', { name: 'Strained', exact: true }).click()
    }
    await expect(made).toBeVisible()
  }
  await page.goto(`${house}/boil`)
  await page.getByRole('tab', { name: 'Decoction' }).click()
  await word(page, 'how much', (at) => at.getByLabel('There is, or is wanted').fill('5 L'))
  await word(page, 'the herb', (at) =>
    at.getByLabel('Herb', { exact: true }).selectOption({ label: 'marshmallow root' }),
  )
  await strained('5 L')
  await page.goto(`${house}/boil`)
  await page.getByRole('tab', { name: 'The long oil' }).click()
  await word(page, 'what is done', (at) => at.getByLabel('What is done').selectOption({ label: 'cleansing the oil' }))
  await strained('980 mL')

  // Cooked in what was cleansed, with what was boiled.
  await page.getByRole('button', { name: 'Cook the oil with it' }).click()
  await expect(page.getByRole('link', { name: 'Bench' })).toHaveAttribute('aria-current', 'true')
  await word(page, 'what it is cooked in', (at) =>
    at.getByLabel('Cooked with').selectOption({ label: 'D26-001, decoction of marshmallow root: 5 L' }),
  )
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    /^Cooking 980 mL of D26-002, cleansing sesame oil, .*cooked in D26-001, decoction of marshmallow root/,
  )
  await page.getByRole('button', { name: 'Begin it' }).dblclick()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Long oil of marshmallow root in sesame oil')
  await expect(page.getByText('D26-003', { exact: true })).toBeVisible()
  await page.getByRole('link', { name: 'D26-001, decoction of marshmallow root' }).click()
  await expect(page.getByText('1.08 L').first()).toBeVisible()

  // Its label, and a cream of what is left.
  await page.getByRole('link', { name: 'Its label' }).click()
  await expect(page.getByText('Keep in the refrigerator.').first()).toBeVisible()
  await page.getByRole('link', { name: 'Back to the pot' }).click()
  await page.getByRole('button', { name: 'Make a cream with it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('marshmallow root decoction of 24 November')
  await page.getByRole('checkbox', { name: 'I have read this' }).check()
  await page.getByRole('button', { name: 'Begin this cream' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Marshmallow root cream')
  await expect(page.getByText('marshmallow root, in its water').first()).toBeVisible()
  await page.getByRole('link', { name: 'Follow it' }).click()
  await expect(page.getByRole('link', { name: 'D26-001, decoction of marshmallow root' })).toBeVisible()
})

test('two pots share one burner, and one is moved to a day', async ({ page }) => {
  const house = await ownHouse(page)
  await page.goto(`${house}/house`)
  await page.getByLabel('Burners on the stove').fill('none')
  await page.getByRole('button', { name: 'Keep' }).first().click()
  await expect(page.getByRole('alert').first()).toBeVisible()
  await page.getByLabel('Burners on the stove').fill('1')
  await page.getByRole('button', { name: 'Keep' }).first().click()
  await expect(page.getByText('The house’s settings are kept.')).toBeVisible()
  const begin = async () => {
    await page.goto(`${house}/boil?what=long-oil`)
    await word(page, 'what is done', (at) => at.getByLabel('What is done').selectOption({ label: 'cleansing the oil' }))
    await page.getByRole('button', { name: 'Begin it' }).click()
    await expect(page.getByRole('heading', { level: 1, name: 'Cleansing sesame oil' })).toBeVisible()
  }
  await begin()
  await page.keyboard.press('o')
  await expect(page.getByRole('button', { name: 'Off, covered' })).toBeVisible()
  await begin()
  await expect(page.getByText(/^Every burner is taken\. Put it over the flame/)).toBeVisible()
  await page.getByRole('button', { name: 'Move it to a day' }).click()
  const sheet = page.getByRole('dialog')
  await sheet.getByLabel('Not before').fill('2026-11-20')
  await sheet.getByRole('button', { name: 'Move it' }).click()
  await expect(sheet.getByText(/Say a time after/)).toBeVisible()
  await sheet.getByLabel('Not before').fill('2026-12-05')
  await sheet.getByRole('button', { name: 'Move it' }).click()
  await expect(page.getByText('Put it over the flame Sat 5 Dec.')).toBeVisible()
  await expect(page.getByText('Moved: over the flame from Sat 5 Dec, 09:00', { exact: true })).toBeVisible()
})
