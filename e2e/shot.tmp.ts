import { chromium, type Page } from '@playwright/test'
import { CHROMIUM } from './support/chromium'
import { TestServer } from './support/server'
import { openBench, typeFive, typeOver } from './support/fixtures'
const server = await TestServer.start()
const browser = await chromium.launch(CHROMIUM)
async function on(viewport: {width:number;height:number}, work: (page: Page) => Promise<void>, more = {}) {
  const context = await browser.newContext({ viewport, reducedMotion: 'reduce', ...more })
  const page = await context.newPage()
  await page.goto(server.url + '/round')
  try { await work(page) } catch (e) { console.log(String(e)); await page.screenshot({ path: '/tmp/shots/failed.png' }) }
  await context.close()
}
await on({ width: 1280, height: 800 }, async (page) => {
  await openBench(page, 'Sandpiper', 'Look')
  await page.locator('[data-place="toe-sole"]').click()
  await page.getByRole('dialog').getByRole('group', { name: 'Abscess or track', exact: true }).getByRole('button', { name: 'running' }).click()
  await typeOver(page.getByLabel('Who was told, and what was said'), 'Dr Sedge, comes at noon')
  await page.screenshot({ path: '/tmp/shots/gate.png' })
  await page.getByRole('button', { name: 'I have read this, go on' }).click()
  await page.waitForTimeout(900)
  await page.screenshot({ path: '/tmp/shots/look.png' })
  await page.getByRole('tab', { name: 'Map' }).click()
  await typeFive(page)
  await page.getByRole('tab', { name: 'Nail' }).click()
  await page.waitForTimeout(700)
  await page.screenshot({ path: '/tmp/shots/nail.png' })
  await page.goto(server.url + '/round')
  await page.waitForTimeout(700)
  await page.screenshot({ path: '/tmp/shots/round.png' })
})
await on({ width: 390, height: 844 }, async (page) => {
  await openBench(page, 'Sandpiper', 'Nail')
  await page.waitForTimeout(900)
  await page.screenshot({ path: '/tmp/shots/nail-phone.png' })
  await page.goto(server.url + '/round')
  await page.waitForTimeout(700)
  await page.screenshot({ path: '/tmp/shots/round-phone.png' })
}, { hasTouch: true, isMobile: true })
await browser.close()
await server.stop()
