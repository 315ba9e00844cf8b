import { TestBed, type ComponentFixture } from '@angular/core/testing'
import { provideStore, Store } from '@ngrx/store'
import { settingsActions, settingsFeature } from '../state/settings/settings.feature'
import { provideIcons } from '../shell/icons'
import { FigureField } from './figure-field'

describe('FigureField', () => {
  let fixture: ComponentFixture<FigureField>
  let input: HTMLInputElement
  let emitted: (number | undefined)[]
  let unread: string[]

  beforeEach(async () => {
    await TestBed.configureTestingModule({
      imports: [FigureField],
      providers: [provideIcons(), provideStore({ [settingsFeature.name]: settingsFeature.reducer })],
    }).compileComponents()
    TestBed.inject(Store).dispatch(settingsActions.change({ changes: { unit: 'in', denominator: 16 } }))
    fixture = TestBed.createComponent(FigureField)
    fixture.componentRef.setInput('field', 'width')
    fixture.componentRef.setInput('label', 'Width')
    fixture.componentRef.setInput('kind', 'length')
    emitted = []
    unread = []
    fixture.componentInstance.figure.subscribe((value) => emitted.push(value))
    fixture.componentInstance.unread.subscribe((text) => unread.push(text))
    await fixture.whenStable()
    input = (fixture.nativeElement as HTMLElement).querySelector('input')!
  })

  const type = (text: string) => {
    input.value = text
    input.dispatchEvent(new Event('input'))
  }
  const set = async (name: string, value: unknown) => {
    fixture.componentRef.setInput(name, value)
    await fixture.whenStable()
  }

  it('reads what is typed in millimetres and tells apart what cannot be read', () => {
    type('4 7/8')
    type('four')
    type('')
    expect(emitted[0]).toBeCloseTo(123.825, 9)
    expect(unread).toEqual(['four'])
    expect(emitted[1]).toBeUndefined()
  })

  it('goes on by a step with each press, though the screen has not followed yet', async () => {
    await set('value', 127)
    const press = (key: string) => input.dispatchEvent(new KeyboardEvent('keydown', { key }))
    press('ArrowDown')
    press('ArrowDown')
    press('ArrowUp')
    const steps = emitted.map((value) => Math.round(((value! - 127) / 25.4) * 16))
    expect(steps).toEqual([-1, -2, -1])
    // An undo has moved it meanwhile: from there.
    await set('value', 100)
    press('ArrowDown')
    expect(emitted.at(-1)).toBeCloseTo(100 - 25.4 / 16, 9)
  })

  it('keeps the typed text while it is being typed, and shows the figure when the field is left', async () => {
    input.dispatchEvent(new Event('focus'))
    type('4-7/8')
    await set('value', 123.825)
    expect(input.value).toBe('4-7/8')
    input.dispatchEvent(new Event('blur'))
    await fixture.whenStable()
    expect(input.value).toBe('4 7/8"')
  })

  it('asks about a forgotten space, and takes what was meant with one tap', async () => {
    await set('entry', '47/8')
    const element = fixture.nativeElement as HTMLElement
    expect(element.textContent).toContain('did you mean 4 7/8?')
    element.querySelector<HTMLElement>('.meant')!.click()
    expect(emitted[0]).toBeCloseTo(123.825, 9)
  })

  it('says where more was given than a rule shows', async () => {
    const element = fixture.nativeElement as HTMLElement
    await set('value', 109.22)
    expect(input.value).toBe('4 5/16"')
    expect(element.textContent).toContain('Kept as 4.3"')
    // 142 mm is no short decimal of an inch: no rule shows thousandths.
    await set('value', 142)
    expect(element.textContent).toContain('Kept as about 5 19/32"')
    await set('value', 109.22)
    await set('where', 'Across its widest place.')
    // Why, and where to lay the rule, is said to who is at it.
    expect(element.textContent).not.toContain('a rule has')
    input.dispatchEvent(new FocusEvent('focus'))
    await fixture.whenStable()
    expect(element.textContent).toContain('Kept as 4.3", shown to the nearest that a rule has.')
    expect(element.textContent).toContain('widest place')
    input.dispatchEvent(new FocusEvent('blur'))
    await set('value', 4.3125 * 25.4)
    expect(element.textContent).not.toContain('Kept as')
  })

  it('gives way to a handle that moves the figure meanwhile', async () => {
    type('5')
    await set('value', 127)
    await set('value', 130.175)
    expect(input.value).toBe('5 1/8"')
  })

  it('shows its default as one, and steps from it with the arrow keys', async () => {
    await set('assumed', 25.4)
    expect(input.value).toBe('')
    expect(input.placeholder).toBe('1"')
    input.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowUp' }))
    expect(emitted.at(-1)).toBeCloseTo(25.4 + 25.4 / 16, 9)
  })

  it('names what is wrong and keeps the text that could not be read', async () => {
    await set('entry', 'four')
    expect(input.value).toBe('four')
    expect((fixture.nativeElement as HTMLElement).querySelector('[role=alert]')?.textContent).toContain(
      '“four” is not a length',
    )
    expect(input.getAttribute('aria-invalid')).toBe('true')
  })
})
