import { AxeBuilder } from '@axe-core/playwright'
import { expect, test } from '@playwright/test'
import { clock, demo, MORNING } from './support'

test.beforeEach(() => clock(MORNING))

for (const colorScheme of ['light', 'dark'] as const) {
  test(`no serious fault of access in any place, ${colorScheme}`, async ({ page }) => {
    await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' })
    const faults: string[] = []
    const look = async (where: string) => {
      const { violations } = await new AxeBuilder({ page }).analyze()
      for (const fault of violations)
        if (fault.impact === 'serious' || fault.impact === 'critical')
          faults.push(`${where}: ${fault.id}: ${fault.nodes.map((node) => node.html).join(' | ')}`)
    }
    await page.goto('/')
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await look('door')
    const house = await demo(page)
    await expect(page.getByText('Strain the helichrysum')).toBeVisible()
    await look('today')
    await page.getByRole('button', { name: 'Not now: Strain the helichrysum' }).click()
    await expect(page.getByRole('dialog')).toBeVisible()
    await look('not now')
    await page.keyboard.press('Escape')
    await page.goto(house + '/bench')
    await expect(page.getByText('Weigh and pour')).toBeVisible()
    await look('bench')
    await page.getByRole('button', { name: /^the oil:/ }).click()
    await expect(page.getByLabel('With a second oil')).toBeVisible()
    await look('a word')
    await page.keyboard.press('Escape')
    await page.getByRole('button', { name: /^Keeps until/ }).click()
    await look('a figure')
    await page.goto(house + '/shelf')
    await expect(page.getByRole('heading', { name: /^Steeping/ })).toBeVisible()
    await look('shelf')
    await page.getByRole('link', { name: /^Self-heal/ }).click()
    await expect(page.getByRole('heading', { name: 'Logbook' })).toBeVisible()
    await look('batch')
    await page.goto(house + '/press')
    await page.getByRole('link', { name: /^Mullein/ }).click()
    await expect(page.getByRole('heading', { name: 'Bottle', exact: true })).toBeVisible()
    await look('press')
    await page.goto(house + '/house')
    await expect(page.getByRole('heading', { name: 'People' })).toBeVisible()
    await look('house')
    expect(faults).toEqual([])
  })
}
