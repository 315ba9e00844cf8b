import { expect, newHorse, openBench, test, typeOver } from '../support/fixtures'

test('all four as last time: one confirmation, one save, finished, and on to the next horse', async ({
  page,
  open,
}) => {
  await open('/round')
  const row = page.getByRole('listitem').filter({ hasText: 'Parsley' })
  await row.getByRole('button', { name: 'As last time' }).click()
  const dialog = page.getByRole('dialog', { name: 'As last time: Parsley' })
  await expect(dialog.getByRole('radiogroup', { name: 'What is done to LF' })).toBeVisible()
  // Nothing is stored by looking.
  await dialog.getByRole('button', { name: 'Not now' }).click()
  await expect(row.getByRole('button', { name: 'Start visit' })).toBeVisible()
  await row.getByRole('button', { name: 'As last time' }).click()
  await dialog
    .getByRole('radiogroup', { name: 'What is done to RH' })
    .getByRole('radio', { name: 'Put back' })
    .click()
  await expect(
    dialog.getByRole('radiogroup', { name: 'All feet' }).getByRole('radio', { checked: true }),
  ).toHaveCount(0)
  const stored = page.waitForResponse((answer) => answer.request().method() === 'PUT')
  await dialog.getByRole('button', { name: 'Keep' }).click()
  expect((await stored).url()).toMatch(/\/visits\/[^/]+\/feet$/)

  const feet = page.getByRole('radiogroup', { name: 'Foot' })
  await expect(feet.getByRole('radio', { name: 'Left fore, shod' })).toBeVisible()
  await expect(feet.getByRole('radio', { name: 'Right hind, reset' })).toBeVisible()
  await expect(page.getByTestId('cut')).toContainText('10')
  await page.getByRole('button', { name: 'Finish visit' }).click()
  await page.getByRole('button', { name: 'Finish', exact: true }).click()
  const next = page.locator('cr-next-horse')
  await expect(next).toContainText(/Next: \w+/)
  const name = /Next: ([A-Z][\w ]+)/.exec((await next.innerText()).replace(/\s+/g, ' '))![1]!.trim()
  await next.getByRole('button', { name: 'As last time' }).click()
  await expect(page.getByRole('dialog', { name: `As last time: ${name}` })).toBeVisible()
  await page.keyboard.press('Escape')
  // Kept: the same after a reload.
  await page.reload()
  await expect(feet.getByRole('radio', { name: 'Left hind, shod' })).toBeVisible()
})

test('As last time says why it is not kept, and keeps what was chosen', async ({ page, open, context }) => {
  await open('/stable')
  await page.getByRole('link', { name: 'Marrow' }).first().click()
  await page.getByRole('button', { name: 'As last time' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('radiogroup', { name: 'All feet' }).getByRole('radio', { name: 'Put back' }).click()
  await context.setOffline(true)
  await dialog.getByRole('button', { name: 'Keep' }).click()
  await expect(dialog.getByRole('alert')).toContainText('Not kept. The server does not answer.')
  await context.setOffline(false)
  await dialog.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByRole('radio', { name: 'Left fore, reset' })).toBeVisible()
})

test('Save all keeps every foot with unsaved work in one go', async ({ page, open }) => {
  await open('/stable')
  await newHorse(page, 'Thrift', 'Saveall')
  await openBench(page, 'Saveall')
  for (const [label, text] of [
    ['Width', '5 1/8'],
    ['Length', '5 1/4'],
    ['Heel width', '3 3/4'],
    ['Toe angle', '51'],
    ['Wall thickness', '3/8'],
  ] as const)
    await typeOver(page.getByRole('textbox', { name: label, exact: false }).first(), text)
  await page.keyboard.press('Tab')
  await expect(page.getByTestId('cut')).toBeVisible()
  await expect(page.getByRole('button', { name: /^Save all/ })).toHaveCount(0)
  await page.getByRole('radio', { name: /^right fore/i }).click()
  await page.getByRole('button', { name: 'More for this foot' }).click()
  await page.getByRole('menuitem', { name: 'Mirror from LF' }).click()
  await page.getByRole('button', { name: 'Save all 2' }).click()
  const dialog = page.getByRole('dialog', { name: 'Save all' })
  await typeOver(dialog.getByRole('textbox', { name: 'Right fore, name' }), 'Right one')
  await dialog.getByRole('button', { name: 'Save 2' }).click()
  await expect(page.getByText('Saved: LF, RF')).toBeVisible()
  await expect(page.getByRole('radio', { name: 'right fore, shod', exact: true })).toBeVisible()
  await page.reload()
  await expect(page.getByRole('radio', { name: 'left fore, shod', exact: true })).toBeVisible()
})
