import type { Page } from '@playwright/test'
import { expect, expectAccessible, field, newHorse, openBench, test, typeOver } from '../support/fixtures'

const place = (page: Page, key: string) => page.locator(`[data-place="${key}"]`)
const kept = (page: Page) => expect(page.getByText('Kept with the visit.')).toBeVisible()

/** Touches a place and says what is found there. */
async function find(page: Page, where: string, kind: string, grade: string): Promise<void> {
  await place(page, where).click()
  await page
    .getByRole('dialog')
    .getByRole('group', { name: kind, exact: true })
    .getByRole('button', { name: grade, exact: true })
    .click()
  await expect(page.getByRole('group', { name: kind, exact: true })).toHaveCount(0)
}

const findings = (page: Page) => page.getByRole('region', { name: 'Findings' })
const questions = (page: Page) => page.getByRole('region', { name: 'From the visits before' })
const advice = (page: Page, title: string) => page.getByRole('article', { name: title })

test.describe('look', () => {
  test('a finding is tapped where it lies, noted, graded anew, undone, and survives a reload', async ({
    page,
    open,
  }) => {
    await open('/round')
    await openBench(page, 'Sandpiper', 'Look')
    await find(page, 'outer-quarter', 'Flare', 'slight')
    await expect(findings(page)).toContainText('Flare, outer quarter slight')
    await expect(place(page, 'outer-quarter')).toHaveAttribute('aria-label', 'outer quarter: flare')
    await typeOver(findings(page).getByLabel('Note on Flare, outer quarter'), 'since the dry spell')
    await find(page, 'outer-quarter', 'Flare', 'clear')
    await expect(findings(page)).toContainText('Flare, outer quarter clear')
    await find(page, 'frog', 'Frog shrunk', 'slight')
    await kept(page)

    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(findings(page)).not.toContainText('Frog shrunk')
    await page.getByRole('button', { name: 'Redo' }).click()
    await expect(findings(page)).toContainText('Frog shrunk')
    await kept(page)

    await page.reload()
    await page.getByRole('tab', { name: 'Look' }).click()
    await expect(findings(page)).toContainText('Flare, outer quarter clear')
    await expect(findings(page).getByLabel('Note on Flare, outer quarter')).toHaveValue('since the dry spell')
    // The same grade again takes the finding back.
    await find(page, 'frog', 'Frog shrunk', 'slight')
    await expect(findings(page)).not.toContainText('Frog shrunk')
  })

  test('by keyboard: a place is reached, opened and answered', async ({ page, open }) => {
    await open('/round')
    await openBench(page, 'Quiver', 'Look')
    await place(page, 'inner-heel').focus()
    await page.keyboard.press('Enter')
    const dialog = page.getByRole('dialog')
    await expect(dialog).toContainText('inner heel')
    // A dialog takes the focus once it stands: a key pressed before that goes to whatever it gives it to.
    await expect(dialog.locator(':focus')).toHaveCount(1)
    await dialog
      .getByRole('group', { name: 'Broken wall' })
      .getByRole('button', { name: 'clear' })
      .press('Enter')
    await expect(findings(page)).toContainText('Broken wall, inner heel clear')
  })

  test('findings of the last visit are asked, answered, and asked again at the next one', async ({
    page,
    open,
    server,
  }) => {
    await open('/round')
    await openBench(page, 'Merryweather', 'Look')
    await expect(questions(page).getByRole('group')).toHaveCount(3)
    const answer = async (name: string, button: string) => {
      await questions(page).getByRole('group', { name }).getByRole('button', { name: button }).click()
      await expect(questions(page).getByRole('group', { name })).toHaveCount(0)
    }
    await answer('Flare, outer quarter', 'worse')
    await answer('Heels run forward', 'gone')
    await answer('Bulge at the coronet, inner quarter', 'same')
    await expect(questions(page)).toHaveCount(0)
    await expect(findings(page)).toContainText('Flare, outer quarter severe worse')
    await kept(page)

    // A visit a week later: what is gone is not asked again, the rest is, at its new grade.
    const visitId = /bench\/([0-9a-f-]+)\//.exec(page.url())![1]!
    const { visit } = (await (await fetch(`${server.url}/api/visits/${visitId}/page`)).json()) as {
      visit: Record<string, unknown>
    }
    const later = { ...visit, id: crypto.randomUUID(), version: 0, date: '2099-01-01', state: 'open' }
    const made = await fetch(`${server.url}/api/visits/${later.id}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(later),
    })
    expect(made.ok).toBe(true)
    await page.goto(`${server.url}/bench/${later.id}/LF`)
    await page.getByRole('tab', { name: 'Look' }).click()
    await expect(questions(page).getByRole('group')).toHaveCount(2)
    await expect(questions(page)).toContainText('Flare, outer quarter severe')
    await expect(questions(page)).not.toContainText('Heels run forward')
  })

  test('advice is accepted onto the shoe, changed and dismissed with a reason; clashes are shown', async ({
    page,
    open,
  }) => {
    await open('/round')
    await openBench(page, 'Marrow', 'Look')
    await page.getByRole('radio', { name: 'left hind' }).click()
    await page.getByRole('button', { name: 'outside first' }).click()
    const trailer = advice(page, 'Lateral trailer')
    await expect(trailer).toContainText(
      'Pulls against “Conservative fit: nothing behind the heel” (trailer, long heels)',
    )
    const fit = advice(page, 'Conservative fit: nothing behind the heel')
    await expect(fit).toContainText('Lives in a muddy herd')
    await fit.getByRole('button', { name: 'Accept' }).click()
    await expect(fit).toContainText('accepted')
    await trailer.getByRole('button', { name: 'Dismiss' }).click()
    await typeOver(trailer.getByLabel('Why not?'), 'the others step it off')
    await trailer.getByRole('button', { name: 'Keep' }).click()
    await expect(trailer).toContainText('dismissed: the others step it off')
    const nails = advice(page, 'Stout bar, eight nails')
    await nails.getByRole('button', { name: 'Do something else' }).click()
    await typeOver(nails.getByLabel('What instead, and why?'), 'Six, the wall is torn')
    await nails.getByRole('button', { name: 'Keep' }).click()
    await kept(page)

    await page.getByRole('tab', { name: 'Map' }).click()
    await page.getByRole('button', { name: 'Copy last visit' }).first().click()
    await page.getByRole('tab', { name: 'Shoe' }).click()
    await expect(page.getByRole('region', { name: 'Agreed while looking' })).toContainText(
      'Six, the wall is torn',
    )
    await expect(page.getByRole('radio', { name: /^Conservative/ })).toBeChecked()

    // What was accepted is not gone against in silence, and comes back with one press.
    const agreed = page.getByRole('region', { name: 'Agreed while looking' })
    await expect(agreed).not.toContainText('The shoe says otherwise')
    await page.getByRole('radio', { name: /^Supportive/ }).click()
    await expect(agreed).toContainText(
      'The shoe says otherwise: the fit is supportive; the fit brings long heels',
    )
    await page.getByRole('tab', { name: 'Look' }).click()
    await expect(fit).toContainText('The shoe says otherwise')
    await page.getByRole('tab', { name: 'Shoe' }).click()
    await agreed.getByRole('button', { name: 'Do as agreed' }).click()
    await expect(page.getByRole('radio', { name: /^Conservative/ })).toBeChecked()
    await expect(agreed).not.toContainText('The shoe says otherwise')

    await page.reload()
    await page.getByRole('tab', { name: 'Look' }).click()
    await expect(trailer).toContainText('the others step it off')
    await trailer.getByRole('button', { name: 'think again' }).click()
    await expect(trailer.getByRole('button', { name: 'Accept' })).toBeVisible()
  })

  test('both schools of a suspensory strain stand side by side, and the vet leads', async ({
    page,
    open,
  }) => {
    await open('/round')
    await openBench(page, 'Bellwether', 'Look')
    // The vet named the left hind: the other feet are not spoken of.
    await expect(advice(page, 'Raise the heels (wedge)')).toHaveCount(0)
    await page.getByRole('radio', { name: 'left hind' }).click()
    await expect(advice(page, 'Raise the heels (wedge)')).toContainText('raised heels')
    await expect(advice(page, 'Raise the heels (wedge)')).toContainText('the vet leads')
    await expect(advice(page, 'Raise the heels (wedge)')).toContainText(
      'Pulls against “Wide toe, narrow heels that sink”',
    )
    await expect(advice(page, 'Wide toe, narrow heels that sink')).toContainText(
      'hard ground, where it does nothing',
    )
    const legs = page.getByRole('group', { name: 'In which leg or legs' })
    await expect(legs.getByRole('button', { name: 'LH' })).toHaveAttribute('aria-pressed', 'true')
    await legs.getByRole('button', { name: 'LH' }).click()
    await expect(advice(page, 'Raise the heels (wedge)')).toContainText('In which leg is not written down')
    await legs.getByRole('button', { name: 'RH' }).click()
    await expect(advice(page, 'Raise the heels (wedge)')).toHaveCount(0)
  })

  test('the caution gate: what calls for the vet stops the flow until it is acknowledged, on record', async ({
    page,
    open,
    server,
  }) => {
    await open('/round')
    await newHorse(page, 'Fallow', 'Ploughman')
    await openBench(page, 'Ploughman', 'Look')
    await find(page, 'toe-sole', 'Abscess or track', 'running')
    const gate = page.getByRole('dialog', { name: 'Stop: this calls for the vet' })
    await expect(gate).toContainText('Call the vet')
    await expectAccessible(page)
    await gate.getByRole('button', { name: 'Back to the Look' }).click()
    await expect(gate).toHaveCount(0)
    await page.keyboard.press('m')
    await expect(gate).toBeVisible()
    await expect(page.getByRole('tab', { name: /^Look/, includeHidden: true })).toHaveAttribute(
      'aria-selected',
      'true',
    )
    await expect(gate.getByRole('button', { name: 'I have read this, go on' })).toBeDisabled()
    await typeOver(gate.getByLabel('Who was told'), 'Spoke to the surgery: poultice, no shoe this week')
    await gate.getByRole('button', { name: 'I have read this, go on' }).click()
    await expect(page.getByRole('tab', { name: 'Map' })).toHaveAttribute('aria-selected', 'true')

    const visitId = /bench\/([0-9a-f-]+)\//.exec(page.url())![1]!
    const read = async () =>
      (
        (await (await fetch(`${server.url}/api/visits/${visitId}/page`)).json()) as {
          look: { acknowledged: { gate: string; words: string }[] } | null
        }
      ).look?.acknowledged ?? []
    await expect.poll(read).toEqual([
      expect.objectContaining({
        gate: 'LF track toe-sole 3',
        words: 'Spoke to the surgery: poultice, no shoe this week',
      }),
    ])
    // Acknowledged once, it is not asked again; another finding is.
    await page.getByRole('tab', { name: 'Look' }).click()
    await page.getByRole('tab', { name: 'Map' }).click()
    await expect(gate).toHaveCount(0)
  })

  test('a look that cannot be stored is kept and sent again; one changed elsewhere is asked about', async ({
    page,
    open,
  }) => {
    await open('/round')
    await openBench(page, 'Dunlin', 'Look')
    await page.route('**/api/looks/*', (route) => route.abort())
    await find(page, 'inner-sole', 'Bruise', 'slight')
    await expect(page.getByText('Not kept yet')).toBeVisible()
    await page.unroute('**/api/looks/*')
    await kept(page)

    const other = await page.context().newPage()
    await other.goto(page.url())
    await other.getByRole('tab', { name: 'Look' }).click()
    await other.getByRole('button', { name: 'toe first' }).click()
    await kept(other)
    await page.getByRole('button', { name: 'heel first' }).click()
    const asked = page.getByRole('dialog', { name: 'Changed elsewhere' })
    await expect(asked).toBeVisible()
    await asked.getByRole('button', { name: 'Take the other' }).click()
    await expect(page.getByRole('button', { name: 'toe first' })).toHaveAttribute('aria-pressed', 'true')
    await expect(page.getByRole('button', { name: 'heel first' })).toHaveAttribute('aria-pressed', 'false')
  })

  test('the foot before the trim: a figure that cannot be is named with its range and kept as typed', async ({
    page,
    open,
  }) => {
    await open('/round')
    await openBench(page, 'Thrift', 'Look')
    await page.getByText('The foot before the trim').click()
    await typeOver(field(page, 'untrimmed-toeAngle'), '20')
    await expect(page.getByRole('alert')).toContainText(
      'Toe angle: 20° is not possible here, it lies between 30° and 85°',
    )
    await field(page, 'untrimmed-length').focus()
    await expect(field(page, 'untrimmed-toeAngle')).toHaveValue(/20/)
    await typeOver(field(page, 'untrimmed-toeAngle'), '45')
    await expect(page.getByRole('alert')).toHaveCount(0)
    await kept(page)
    await page.getByRole('tab', { name: 'Map' }).click()
    await page.getByRole('button', { name: 'Copy last visit' }).first().click()
    await page.getByRole('button', { name: 'Side', exact: true }).click()
    await expect(page.getByText('Dashed: before the trim.')).toBeVisible()
  })
})
