import { show } from '../testing/samples'
import { DayField, dayFault } from './day-field'

describe('a day', () => {
  it.each([
    ['2026-11-25', ''],
    ['12026-11-25', 'This is no day of the calendar.'],
    ['2026-02-30', 'This is no day of the calendar.'],
    ['1926-11-25', 'The year lies between 1990 and 2099.'],
    ['2126-11-25', 'The year lies between 1990 and 2099.'],
  ])('%s: %s', (day, fault) => expect(dayFault(day)).toBe(fault))

  it('stays in its field with what is wrong, and is handed on only when it can be', async () => {
    const { fixture, element, text } = await show(DayField, { label: 'Day', day: '2026-11-25' })
    const days: string[] = []
    const faults: boolean[] = []
    fixture.componentInstance.changed.subscribe((day) => days.push(day))
    fixture.componentInstance.faulty.subscribe((faulty) => faults.push(faulty))
    const box = element.querySelector('input')!
    const type = async (day: string) => {
      box.value = day
      box.dispatchEvent(new Event('input'))
      await fixture.whenStable()
    }
    await type('2126-11-25')
    expect(text()).toContain('The year lies between 1990 and 2099.')
    await type('')
    expect(text()).toContain('A day is needed.')
    await type('2026-12-01')
    expect(text()).not.toContain('needed')
    expect(days).toEqual(['2026-12-01'])
    expect(faults).toEqual([true, true, false])
  })

  it('a day that was handed on is not written back over what is typed meanwhile; one from elsewhere is', async () => {
    const { fixture, element } = await show(DayField, { label: 'Day', day: '2026-11-25' })
    const box = element.querySelector('input')!
    const type = (day: string) => {
      box.value = day
      box.dispatchEvent(new Event('input'))
    }
    const told = async (day: string) => {
      fixture.componentRef.setInput('day', day)
      await fixture.whenStable()
      return box.value
    }
    expect(box.value).toBe('2026-11-25')
    // Month and day are typed, and the year begun, before whoever was told of it says it back.
    type('2026-12-01')
    type('0202-12-01')
    expect(await told('2026-12-01')).toBe('0202-12-01')
    type('2029-12-01')
    expect(await told('2029-12-01')).toBe('2029-12-01')
    expect(await told('2026-11-25')).toBe('2026-11-25')
    expect(await told('2029-12-01')).toBe('2029-12-01')
  })
})
