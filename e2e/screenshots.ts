// Takes the pictures of docs/screenshots from the demo practice: npm run screenshots
import { fileURLToPath } from 'node:url'
import { chromium, type Page } from '@playwright/test'
import { CHROMIUM } from './support/chromium'
import { openBench, typeFive } from './support/fixtures'
import { TestServer } from './support/server'

const FOLDER = fileURLToPath(new URL('../docs/screenshots/', import.meta.url))
const WIDE = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }

const server = await TestServer.start()
const browser = await chromium.launch(CHROMIUM)

async function shoot(
  name: string,
  viewport: { width: number; height: number },
  colorScheme: 'light' | 'dark',
  prepare: (page: Page) => Promise<void>,
): Promise<void> {
  const context = await browser.newContext({ viewport, colorScheme, reducedMotion: 'reduce' })
  const page = await context.newPage()
  await page.goto(`${server.url}/round`)
  await page.getByRole('heading', { name: /Due this week/ }).waitFor()
  await prepare(page)
  await page.mouse.move(0, 0)
  await page.waitForTimeout(600)
  await page.screenshot({ path: `${FOLDER}${name}.png` })
  await context.close()
  console.log(name)
}

const copyLast = (page: Page) =>
  page.getByRole('button', { name: 'Start from the last visit' }).first().click()
const bench = (horse: string) => async (page: Page) => {
  await openBench(page, horse)
  await copyLast(page)
}

try {
  await shoot('round', WIDE, 'light', async () => {})
  await shoot('round-phone', PHONE, 'light', async () => {})
  await shoot('stable', WIDE, 'light', async (page) => {
    await page.getByRole('link', { name: 'Stable' }).click()
    await page.getByRole('searchbox').fill('mail')
  })
  await shoot('horse', WIDE, 'light', async (page) => {
    await page.getByRole('link', { name: 'Merryweather' }).click()
    await page.getByRole('heading', { name: /Patterns/ }).waitFor()
  })
  await shoot('bench-map', WIDE, 'light', bench('Merryweather'))
  await shoot('bench-shoe', WIDE, 'light', async (page) => {
    await bench('Copperkettle')(page)
    await page.getByRole('tab', { name: 'Shoe' }).click()
  })
  await shoot('bench-nail', WIDE, 'light', async (page) => {
    await bench('Dunlin')(page)
    await page.getByRole('tab', { name: 'Nail' }).click()
  })
  await shoot('bench-dark', WIDE, 'dark', bench('Old Granite'))
  await shoot('bench-tablet', { width: 820, height: 1180 }, 'light', bench('Sandpiper'))
  await shoot('bench-phone', PHONE, 'light', bench('Parsley'))
  await shoot('bench-wrong-figure', WIDE, 'light', async (page) => {
    await openBench(page, 'Nock')
    await typeFive(page)
    await page.locator('input[data-field="heelWidth"]').fill('6')
  })
  await shoot('settings', WIDE, 'light', async (page) => {
    await page.getByRole('button', { name: 'Workshop and settings' }).click()
    await page.getByRole('dialog').waitFor()
  })
} finally {
  await browser.close()
  await server.stop()
}
