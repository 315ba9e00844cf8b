import type { Page } from '@playwright/test'
import { expect, expectAccessible, newHorse, openBench, test, typeFive, typeOver } from '../support/fixtures'

const strip = (page: Page) => page.getByTestId('stop-strip')
const dialog = (page: Page) => page.getByRole('dialog')

/** Touches a place and says what is found there. */
async function find(page: Page, where: string, kind: string, grade: string): Promise<void> {
  await page.locator(`[data-place="${where}"]`).click()
  await dialog(page)
    .getByRole('group', { name: kind, exact: true })
    .getByRole('button', { name: grade, exact: true })
    .click()
}

test('a running abscess goes with the foot: every step, Shod, Finish, horse and Round, until the vet allows a shoe', async ({
  page,
  open,
}) => {
  await open('/round')
  await newHorse(page, 'Sandpiper', 'Sanderling')
  await openBench(page, 'Sanderling', 'Look')
  await find(page, 'toe-sole', 'Abscess or track', 'running')
  await expect(dialog(page)).toContainText('No shoe over it')
  await typeOver(dialog(page).getByLabel('Who was told, and what was said'), 'Dr Sedge, comes at noon')
  await dialog(page).getByRole('button', { name: 'I have read this, go on' }).click()
  await expect(strip(page)).toContainText('LF: abscess or track, sole at the toe (running). No shoe over it.')
  await expect(strip(page)).toContainText('Told: Dr Sedge, comes at noon')
  // Advice speaks of the abscess, and of no shoe.
  await expect(page.getByRole('article', { name: /No shoe: the vet opens and drains it/ })).toBeVisible()
  await expect(page.getByRole('radio', { name: /left fore.*stop/ })).toBeVisible()

  // Measured and planned all the same, the plan says stop.
  await page.getByRole('tab', { name: 'Map' }).click()
  await expect(strip(page)).toBeVisible()
  await typeFive(page)
  await page.getByRole('tab', { name: 'Nail' }).click()
  await expect(page.getByText('No shoe over it').first()).toBeVisible()

  // Shod asks; going back leaves it as it is.
  await page.getByRole('radio', { name: 'Shod' }).click()
  await expect(dialog(page)).toContainText('The vet has seen it and allows a shoe')
  await expectAccessible(page)
  await typeOver(dialog(page).getByLabel('Who was told, and what was said'), 'nobody yet')
  await expect(dialog(page).getByRole('button', { name: 'Shoe it as the vet allows' })).toBeDisabled()
  await dialog(page).getByRole('button', { name: 'No shoe on it' }).click()
  await expect(page.getByRole('radio', { name: 'Shod' })).not.toBeChecked()
  await page.getByRole('radio', { name: 'Left bare' }).click()
  await expect(page.getByRole('radio', { name: 'Left bare' })).toBeChecked()

  // Reload: it still stands; the other foot has its own.
  await page.reload()
  await expect(strip(page)).toContainText('No shoe over it')
  await page.getByRole('radio', { name: /right fore/ }).click()
  await expect(strip(page)).toHaveCount(0)

  await page.getByRole('button', { name: 'Finish visit' }).click()
  await expect(dialog(page)).toContainText('LF: abscess or track, sole at the toe (running)')
  await dialog(page).getByRole('button', { name: 'Finish', exact: true }).click()
  await expect(page.getByRole('button', { name: 'Visit notes' })).toBeVisible()

  await page.getByRole('link', { name: 'Sanderling' }).click()
  await expect(page.getByRole('region', { name: 'Calls for the vet' })).toContainText('No shoe over it')
  await expect(page.getByText('LF abscess or track (running)')).toBeVisible()
  await page.getByRole('link', { name: 'Round' }).click()
  await expect(page.getByRole('listitem').filter({ hasText: 'Sanderling' }).first()).toContainText(
    'LF: abscess or track, sole at the toe (running)',
  )
})

test('founder sets the school of the nails; overruling it is a choice with a reason, and stays one after a reload', async ({
  page,
  open,
}) => {
  await open('/round')
  await newHorse(page, 'Quiver', 'Quill')
  await openBench(page, 'Quill', 'Look')
  await page.locator('summary', { hasText: 'The vet’s word' }).click()
  await page.getByRole('button', { name: 'founder', exact: true }).click()
  await typeOver(page.getByLabel('Who said so'), 'Dr Sedge')
  await typeOver(page.getByLabel('Limits set'), 'No nail ahead of the widest part. Soft ground only.')
  await expect(page.getByTestId('limits-read')).toContainText('no nail ahead of the widest part')
  await page.getByRole('tab', { name: 'Map' }).click()
  await typeFive(page)
  await page.getByRole('tab', { name: 'Nail' }).click()
  const laminitic = page.getByRole('radio', { name: 'Laminitic foot' })
  await expect(laminitic).toBeChecked()
  await expect(page.getByText('The vet has diagnosed founder').first()).toBeVisible()
  await expect(page.getByText('Soft ground only').first()).toBeVisible()
  await expect(page.getByText('ruled out')).toHaveCount(0)

  await page.getByRole('radio', { name: 'Sound foot' }).click()
  await expect(dialog(page)).toContainText('No nail ahead of the widest part')
  await page.keyboard.press('Escape')
  await expect(laminitic).toBeChecked()
  await page.getByRole('radio', { name: 'Sound foot' }).click()
  await typeOver(dialog(page).getByLabel('Why, and who agreed to it'), 'Dr Sedge agreed on the telephone')
  await dialog(page).getByRole('button', { name: 'Overrule' }).click()
  await expect(page.getByRole('radio', { name: 'Sound foot' })).toBeChecked()
  await expect(page.getByText('Dr Sedge agreed on the telephone').first()).toBeVisible()
  await page.reload()
  await expect(page.getByRole('radio', { name: 'Sound foot' })).toBeChecked()
  await page.getByRole('button', { name: 'Hold to the limits again' }).click()
  await expect(laminitic).toBeChecked()
})
