import { TestBed } from '@angular/core/testing'
import { Press } from './press'

describe('Press', () => {
  const point = (type: string) => document.dispatchEvent(new Event(type))
  const soon = () => new Promise((done) => setTimeout(done, 1))

  it('lets what moves wait until the press is over, behind the click', async () => {
    const press = TestBed.inject(Press)
    const order: string[] = []
    press.after(() => order.push('at once'))
    point('pointerdown')
    press.after(() => order.push('folded'))
    expect(order).toEqual(['at once'])
    point('pointerup')
    order.push('clicked')
    await soon()
    expect(order).toEqual(['at once', 'clicked', 'folded'])
  })

  it('does not wait for a press that was taken away', async () => {
    const press = TestBed.inject(Press)
    let folded = false
    point('pointerdown')
    press.after(() => (folded = true))
    point('pointercancel')
    await soon()
    expect(folded).toBe(true)
  })
})
