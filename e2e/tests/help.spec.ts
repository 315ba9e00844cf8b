import { expect, expectAccessible, field, openBench, test, typeFive, typeOver } from '../support/fixtures'
import type { Page } from '@playwright/test'

const help = (page: Page, title: string) => page.getByRole('dialog', { name: `Help: ${title}`, exact: true })

test('every step explains itself with pictures, and a word on a tap', async ({ page, open }) => {
  await open('/stable')
  await openBench(page, 'Fallow')
  await typeFive(page)
  for (const step of ['Look', 'Map', 'Shoe', 'Nail']) {
    await page.getByRole('tab', { name: step }).click()
    await page.getByRole('button', { name: 'Help', exact: true }).click()
    await expect(help(page, step).locator('li svg').first()).toBeVisible()
    await page.keyboard.press('Escape')
    await expect(help(page, step)).toBeHidden()
  }
  await page.keyboard.press('?')
  await expect(help(page, 'Nail')).toBeVisible()
  await expectAccessible(page)
  const word = help(page, 'Nail').getByRole('button', { name: 'white line' })
  await word.focus()
  await page.keyboard.press('Enter')
  const said = page.getByRole('dialog', { name: 'White line' })
  await expect(said).toContainText('a nail there lames the horse')
  await expect(said.locator('.area')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(said).toBeHidden()
  await expect(word).toBeFocused()
})

test('words beside what is worked with do not take the focus from it', async ({ page, open }) => {
  await open('/stable')
  await openBench(page, 'Fallow')
  await typeFive(page)
  await field(page, 'length').focus()
  await page.locator('cr-figure-field [data-word="buttress"]').first().click()
  await expect(page.getByRole('dialog', { name: 'Buttress' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(field(page, 'length')).toBeFocused()
  await page.locator('cr-balance-panel').getByRole('button', { name: 'Hoof-pastern axis' }).click()
  await expect(page.getByRole('dialog', { name: 'Hoof-pastern axis' })).toBeVisible()
})

test('dialogs have their help, and keep what is typed', async ({ page, open }) => {
  await open('/stable')
  await openBench(page, 'Fallow', 'Shoe')
  const opened = async (title: string) => {
    await page.getByRole('dialog').getByRole('button', { name: 'Help with this' }).click()
    await expect(help(page, title)).toBeVisible()
    await page.keyboard.press('Escape')
    await expect(help(page, title)).toBeHidden()
  }
  await page.getByRole('tab', { name: 'Map' }).click()
  await typeFive(page)
  await page.getByRole('button', { name: 'Save pattern' }).click()
  await typeOver(page.getByRole('textbox', { name: 'Name' }), 'Half typed')
  await opened('Save pattern')
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Half typed')
  await page.keyboard.press('Escape')

  await page.getByRole('button', { name: 'Finish visit' }).click()
  await opened('Finish the visit')
  await page.keyboard.press('Escape')

  await page.getByRole('button', { name: 'More for this foot' }).click()
  await page.getByRole('menuitem', { name: 'Load a pattern' }).click()
  await opened('Load a pattern')
  await page.keyboard.press('Escape')

  await page.getByRole('tab', { name: 'Shoe' }).click()
  await page.getByRole('button', { name: 'Choose by picture' }).click()
  await opened('Choose by picture')
  await page.keyboard.press('Escape')

  await page.getByRole('button', { name: 'Workshop and settings' }).click()
  await opened('Workshop and settings')
  await page.keyboard.press('Escape')

  await page.getByRole('link', { name: 'Round' }).click()
  // Until it has come, help is with what is still there.
  await expect(page.locator('cr-round-page h1')).toBeVisible()
  await page.getByRole('button', { name: 'Help', exact: true }).click()
  await expect(help(page, 'Round')).toBeVisible()
})
