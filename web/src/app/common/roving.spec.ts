import { show } from '../testing/samples'
import { OneOf } from './one-of'

describe('one of a few by keyboard', () => {
  const choices = ['a', 'b', 'c'].map((key) => ({ key, label: key.toUpperCase() }))

  it('is one stop for Tab, and the arrows go round and choose', async () => {
    const { fixture, element } = await show(OneOf, { label: 'Letters', choices, chosen: 'b' })
    const chosen: string[] = []
    fixture.componentInstance.choose.subscribe((key) => chosen.push(key))
    const radios = [...element.querySelectorAll<HTMLElement>('[role=radio]')]
    expect(radios.map(({ tabIndex }) => tabIndex)).toEqual([-1, 0, -1])
    document.body.append(element)
    const press = (at: number, key: string) =>
      radios[at]!.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
    press(1, 'ArrowRight')
    expect(document.activeElement).toBe(radios[2])
    press(2, 'ArrowDown')
    press(0, 'End')
    press(0, 'x')
    expect(chosen).toEqual(['c', 'a', 'c'])
    // What is stored at once is only gone to; it is chosen by the key that presses it.
    fixture.componentRef.setInput('stored', true)
    await fixture.whenStable()
    press(1, 'ArrowRight')
    expect(document.activeElement).toBe(radios[2])
    expect(chosen).toHaveLength(3)
    element.remove()
  })
})
