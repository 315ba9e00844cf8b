import { TestBed } from '@angular/core/testing'
import { show, STORE } from '../../testing/samples'
import { PutInList, type Put } from './put-in-list'

beforeEach(() => TestBed.configureTestingModule({ providers: STORE }))

it('takes what is tapped in the order it is told, with why, and lets go of it', async () => {
  let put: Put = []
  const { fixture, element, press } = await show(PutInList, { side: 'LF', put })
  fixture.componentInstance.changed.subscribe((now: Put) => {
    put = now
    fixture.componentRef.setInput('put', now)
  })
  await press('sealant')
  await press('packing')
  expect(put.map(({ what }) => what)).toEqual(['packing', 'sealant'])
  const why = element.querySelector('input')!
  why.value = 'thin sole'
  why.dispatchEvent(new Event('input'))
  await fixture.whenStable()
  expect(put[0]).toEqual({ what: 'packing', why: 'thin sole' })
  await press('sealant')
  expect(put).toEqual([{ what: 'packing', why: 'thin sole' }])
})
