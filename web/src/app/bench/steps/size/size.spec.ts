import { HttpErrorResponse } from '@angular/common/http'
import { TestBed } from '@angular/core/testing'
import { Store } from '@ngrx/store'
import { of, throwError } from 'rxjs'
import { benchActions } from '../../../state/bench/bench.feature'
import { SizeTable } from '../../../state/size-table'
import { PAGE, show } from '../../../testing/samples'
import { anvilBench, moulded, shoe, size, type AnvilServer } from '../../../testing/anvil-bed'
import { SizeOver } from './size-over'
import { SizePanel } from './size-panel'

let server: AnvilServer
beforeEach(() => {
  server = anvilBench()
})

describe('SizePanel', () => {
  it('lists the sizes with what each needs and why, and lays the one that is taken on the Bench', async () => {
    const { element, text, press, fixture } = await show(SizePanel)
    await fixture.whenStable()
    const cards = () => [...element.querySelectorAll('cr-size-card')]
    expect(cards()[0]!.textContent).toContain('335')
    expect(cards()[0]!.querySelector('[data-testid=need]')!.textContent).toMatch(/as it is|open|close/)
    expect(text()).toContain('too much heel')
    await press('Use it')
    expect(shoe().stock).toMatchObject({ kind: 'size', sizeId: 'size-335' })
    expect(shoe().stock!.facts.label).toBe('Everyday 335')
    expect(shoe().stock!.facts).not.toHaveProperty('onVan')
    expect(shoe().section).toEqual({ shape: 'flat', width: 20, thickness: 8, material: 'steel' })
    expect(shoe().nails!.lateral).toEqual({ driven: [1, 2, 3] })
    expect(cards()[0]!.textContent).toContain('On the Bench')
    await press('Make it by hand instead')
    expect(shoe().stock).toBeUndefined()
  })

  it('leaves behind what is made while a bar is straight, and undo brings it back', async () => {
    const store = TestBed.inject(Store)
    const modifications = [{ kind: 'crease' }, { kind: 'toe-clip' }]
    store.dispatch(benchActions.setShoe({ shoe: { ...shoe(), modifications }, touched: 'mod.crease' }))
    store.dispatch(benchActions.settle())
    const { press, fixture } = await show(SizePanel)
    await fixture.whenStable()
    await press('Use it')
    expect(shoe().modifications).toEqual([{ kind: 'toe-clip' }])
    store.dispatch(benchActions.undo())
    expect(shoe().modifications).toEqual(modifications)
  })

  it('says what to do where there is no table, and tries again where it could not be read', async () => {
    server.sizes = () => throwError(() => new HttpErrorResponse({ status: 0 }))
    const failed = await show(SizePanel)
    await failed.fixture.whenStable()
    expect(failed.text()).toContain('The server does not answer')
    server.sizes = () => of([])
    await failed.press('Try again')
    expect(failed.text()).toContain('No factory sizes are in your table yet')
  })

  it('says when none fits, and what a shoe made by hand takes', async () => {
    server.sizes = () => of([size(200)])
    const { text, fixture } = await show(SizePanel)
    await fixture.whenStable()
    expect(text()).toContain('None of your sizes can be laid on this foot')
    expect(text()).toMatch(/Made by hand of .*: cut 1\d/)
  })
})

describe('SizeOver', () => {
  it('draws the first choice with its holes, another over it, and tells what to measure', async () => {
    const table = TestBed.inject(SizeTable)
    await table.read()
    const { element, text, fixture } = await show(SizeOver)
    expect(element.querySelectorAll('svg rect')).toHaveLength(6)
    expect(element.querySelector('.theirs')).toBeNull()
    expect(text()).toMatch(/Width, outside ?[\d /]+" ?[\d /]+"/)
    const panel = await show(SizePanel)
    await panel.fixture.whenStable()
    await panel.press('Lay over')
    await fixture.whenStable()
    expect(element.querySelector('.theirs')).not.toBeNull()
  })
})

describe('a size that cannot be bent', () => {
  it('is laid, shifted, sawn and drilled: told in words, drawn with its saw line', async () => {
    server.sizes = () => of([moulded(312)])
    const { element, press, text, fixture } = await show(SizePanel)
    await fixture.whenStable()
    expect(element.querySelector('[data-testid=need]')!.textContent).toMatch(/^trim/)
    await press('Use it')
    expect(shoe().stock).toMatchObject({
      facts: { crease: 8 },
      fitted: { resets: 0, since: PAGE.visit.date },
    })
    expect(shoe().nails).not.toHaveProperty('lateral')
    expect(element.querySelector('[data-testid=moulded]')!.textContent).toMatch(/Saw along the outside/)
    const view = await show(SizeOver)
    const sold = () => view.element.querySelector('.sold')!.getAttribute('d')
    const before = sold()
    expect(view.element.querySelector('.saw')).not.toBeNull()
    TestBed.inject(Store).dispatch(
      benchActions.setShoe({
        shoe: { ...shoe(), stock: { ...shoe().stock!, moved: { across: 5 } } },
        touched: 'stock.moved.across',
      }),
    )
    await view.fixture.whenStable()
    expect(sold()).not.toBe(before)
    await press('Clear of the sole')
    expect(shoe().stock!.rest).toBe('clear of the sole')
    expect(text()).toContain('Drill, hole by hole')
  })

  it('may be the old one put on again, counted against its year', async () => {
    server.sizes = () => of([moulded(312)])
    const { element, press, fixture } = await show(SizePanel)
    await fixture.whenStable()
    await press('Use it')
    await press('The same, reset')
    expect(shoe().stock!.fitted).toEqual({ since: PAGE.previous!.visit.date, resets: 1 })
    expect(element.querySelector('[data-testid=worn]')!.textContent).toMatch(/Reset once.*weeks are left/)
    await press('The same, reset')
    expect(shoe().stock!.fitted!.resets).toBe(1)
    await press('A new one')
    expect(shoe().stock!.fitted!.resets).toBe(0)
  })
})
