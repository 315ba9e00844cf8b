import {
  expect,
  expectAccessible,
  field,
  openBench,
  savePattern,
  test,
  typeFive,
  typeOver,
} from '../support/fixtures'

const CSV = `range,label,kind,feet,web,thickness,length,outer holes,inner holes,on van
Trial,1,plain steel,front,3/4 in,8,303,36:9; 56:9; 76:9,36:9; 56:9; 76:9,2
Trial,2,brass,front,20,8,313,36:9,36:9,2
`

test.describe('factory sizes', () => {
  test('a size is chosen by its figures, laid on the Bench, nailed in its holes and taken from the van', async ({
    page,
    open,
  }) => {
    await open('/round')
    await openBench(page, 'Fallow')
    await typeFive(page)
    await page.getByRole('tab', { name: 'Size' }).click()
    const cards = page.getByTestId('sizes').locator('cr-size-card')
    await expect(cards).toHaveCount(4)
    // Its neighbours are listed with why they lose.
    await page.getByRole('button', { name: /^All \d+ sizes$/ }).click()
    await expect(cards.filter({ hasText: /too much heel/ }).first()).toBeVisible()
    await expect(cards.filter({ hasText: /short/ }).first()).toBeVisible()
    await expect(cards.filter({ hasText: 'not for this foot' }).first()).toContainText(
      /no bending brings it there|cannot be bent|inside the white line|short/,
    )
    await page.getByRole('button', { name: 'Only the first' }).click()

    const second = cards.nth(1)
    const name = (await second.getByRole('heading').innerText()).trim()
    const before = Number(/(\d+) on the van/.exec(await second.innerText())![1])
    await second.getByRole('button', { name: 'Lay over' }).click()
    await expect(page.getByRole('img', { name: /laid over it/ })).toBeVisible()
    await expectAccessible(page)
    await second.getByRole('button', { name: 'Use it' }).click()
    await expect(cards.filter({ hasText: 'On the Bench' })).toContainText(name.split(/\s/)[0]!)
    await expect(page.getByText('Factory size').first()).toBeVisible()
    await expect(page.getByTestId('heel-left')).toBeVisible()

    await page.getByRole('tab', { name: 'Nail' }).click()
    await expect(page.getByText(/holes, as made/).first()).toBeVisible()
    await page.getByRole('tab', { name: 'Shoe' }).click()
    await expect(page.getByRole('heading', { name: 'Factory size' })).toBeVisible()
    // Undo takes the size off again, and redo lays it back.
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByRole('heading', { name: 'Bar', exact: true })).toBeVisible()
    await page.getByRole('button', { name: 'Redo' }).click()
    await expect(page.getByRole('heading', { name: 'Factory size' })).toBeVisible()

    const [label = '', ...range] = name.split('\n').join(' ').split(' ')
    const rowOf = () => page.getByRole('list', { name: range.join(' '), exact: true }).getByRole('listitem')
    const onVan = async () =>
      Number(
        await rowOf()
          // By its button: a label such as 4 is also how many of another there are.
          .filter({
            has: page.getByRole('button', { name: `One more of ${range.join(' ')} ${label}`, exact: true }),
          })
          .locator('.count b')
          .innerText(),
      )
    await savePattern(page, 'Everyday')
    await page.getByRole('link', { name: 'Rack' }).click()
    await expect.poll(onVan).toBe(before - 1)
    await page.getByRole('button', { name: `One more of ${range.join(' ')} ${label}` }).click()
    await expect.poll(onVan).toBe(before)
  })

  test('a shoe that cannot be bent is shifted, sawn and drilled; reset, it takes none from the van', async ({
    page,
    open,
  }) => {
    await open('/round')
    await openBench(page, 'Sandpiper')
    await typeFive(page)
    await page.getByRole('tab', { name: 'Size' }).click()
    await page.getByRole('button', { name: /^All \d+ sizes$/ }).click()
    const cards = page.getByTestId('sizes').locator('cr-size-card')
    const cored = cards.filter({ hasText: 'Marsh cored' }).filter({ hasText: 'trim it outside' }).first()
    const label = (await cored.getByRole('heading').innerText()).split(/\s/)[0]!
    const hanging = /(\d+) on the van/.exec(await cored.innerText())![1]!
    await cored.getByRole('button', { name: 'Use it' }).click()
    await expect(page.getByText('Saw off outside')).toBeVisible()
    await expect(page.getByTestId('moulded')).toContainText('Drive the heads down to the metal')
    const sold = page.locator('cr-size-over .sold')
    const before = await sold.getAttribute('d')
    await field(page, 'stock.moved.across').click()
    await page.keyboard.type('-1/8')
    await page.keyboard.press('Enter')
    await expect(sold).not.toHaveAttribute('d', before!)
    await field(page, 'stock.moved.turn').click()
    await page.keyboard.type('40')
    await page.keyboard.press('Enter')
    await expect(
      page
        .getByRole('alert')
        .filter({ hasText: /Turned: 40/ })
        .first(),
    ).toBeVisible()
    await typeOver(field(page, 'stock.moved.turn'), '1')
    await page.keyboard.press('Enter')
    await page.getByRole('radio', { name: 'Clear of the sole' }).click()
    await expect(page.getByText(/lies under the sole/).first()).toBeVisible()
    await page.getByText('Drill, hole by hole').click()
    await expect(page.getByRole('row', { name: /^Outer 1 / })).toBeVisible()
    await expectAccessible(page)
    await page.getByRole('radio', { name: 'The same, reset' }).click()
    await expect(page.getByTestId('worn')).toContainText('weeks are left')
    // Its holes are moved like those of a shoe made by hand.
    await page.getByRole('tab', { name: 'Nail' }).click()
    await expect(page.getByText(/holes, as made/)).toHaveCount(0)
    await page.getByRole('tab', { name: 'Size' }).click()
    await savePattern(page, 'Cored')
    const onVan = () =>
      page
        .getByRole('list', { name: 'Marsh cored', exact: true })
        .getByRole('listitem')
        .filter({ has: page.getByText(label, { exact: true }) })
        .first()
        .locator('.count b')
        .innerText()
    await page.getByRole('link', { name: 'Rack' }).click()
    await expect.poll(onVan).toBe(hanging)
  })

  test('a table comes in from a file: bad rows are named, and nothing is kept of it until it is right', async ({
    page,
    open,
  }) => {
    await open('/rack')
    await page.getByRole('button', { name: 'Table in' }).click()
    const dialog = page.getByRole('dialog')
    const choose = (text: string) =>
      dialog
        .getByLabel('Or take a file')
        .setInputFiles({ name: 'sizes.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
    await choose('name;price\nshoe;4\n')
    await expect(dialog.getByRole('alert')).toContainText('label, kind, feet, web, thickness are missing')
    await choose(CSV)
    await expect(dialog.getByRole('status')).toContainText('1 of 2 rows can be kept')
    await expect(dialog.getByText('kind: “brass” is none of')).toBeVisible()
    await expect(dialog.getByRole('button', { name: /^Keep/ })).toBeDisabled()
    await choose(CSV.replace('brass', 'plain steel'))
    await dialog.getByRole('button', { name: 'Keep 2' }).click()
    await expect(dialog).toBeHidden()
    await expect(page.getByRole('list', { name: 'Trial' }).getByRole('listitem')).toHaveCount(2)
  })

  test('a size is typed key by key, refused by figure, and loses nothing that was typed', async ({
    page,
    open,
  }) => {
    await open('/rack')
    await expectAccessible(page)
    await page.getByRole('button', { name: 'New size' }).click()
    const dialog = page.getByRole('dialog')
    const type = async (label: string, text: string) => {
      const box = dialog.getByLabel(label, { exact: false }).first()
      await box.click()
      await page.keyboard.press('Control+a')
      await page.keyboard.type(text)
    }
    await type('Range', 'Typed')
    await type('Size', '4')
    await type('Web, in', '7')
    await type('Length, in', '12')
    await dialog.getByRole('button', { name: 'Save' }).click()
    await expect(dialog.getByRole('alert')).toContainText(/Web: 7" is not possible here, it lies between/)
    await expect(dialog.getByLabel('Web, in')).toHaveValue('7')
    await type('Web, in', '3/4')
    await type('Outer holes', '1 1/2 : 3/8; 2 1/4 : 3/8')
    await dialog.getByRole('button', { name: 'Inner as outer' }).click()
    await dialog.getByRole('button', { name: 'Save' }).click()
    await expect(dialog).toBeHidden()
    await expect(page.getByRole('list', { name: 'Typed' })).toContainText('3/4 x 5/16" · 12" long · 4 holes')
    // Sold by width and length: the length along the bar is worked out, and marked so.
    await page.getByRole('button', { name: 'Copy Typed 4' }).click()
    await type('Size', '5')
    await typeOver(dialog.getByLabel('Length, in'), '')
    await dialog.getByRole('button', { name: 'Save' }).click()
    await expect(dialog.getByRole('alert')).toContainText('Length, or width and toe to heels, is needed')
    await type('Width, in', '5')
    await type('Toe to heels', '5 1/4')
    await dialog.getByLabel('Clips').selectOption('toe')
    await dialog.getByRole('button', { name: 'Save' }).click()
    await expect(dialog).toBeHidden()
    await expect(page.getByRole('list', { name: 'Typed' })).toContainText('long (derived)')
  })
})
