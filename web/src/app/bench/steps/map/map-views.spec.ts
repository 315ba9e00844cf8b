import { TestBed } from '@angular/core/testing'
import { FOOT_FIGURES, readFoot, type Foot, type FootInput } from '@crescent/core'
import { Store } from '@ngrx/store'
import { settingsActions } from '../../../state/settings/settings.feature'
import { FOOT, planOf, STORE, show } from '../../../testing/samples'
import { BalancePanel } from './balance-panel'
import { CompareView } from './compare-view'
import { KeyboardCaliper } from './keyboard-caliper'
import { RULES } from '../../../help/rule-places'
import { RulePicture } from '../../../help/rule-picture'
import { SideDrawing } from './side-drawing'

/** A row of a table, its cells set apart. */
const written = (row: Element): string =>
  [...row.querySelectorAll('th, td')].map((cell) => cell.textContent.replace(/\s+/g, ' ').trim()).join(' ')

function foot(input: Partial<FootInput> = {}): Foot {
  const read = readFoot({ ...FOOT, ...input })
  if (!read.ok) throw new Error('no foot')
  return read.value.foot
}

beforeEach(() => {
  TestBed.configureTestingModule({ providers: STORE })
  TestBed.inject(Store).dispatch(settingsActions.change({ changes: { unit: 'in', denominator: 16 } }))
})

describe('BalancePanel', () => {
  const rows = (element: HTMLElement) =>
    Object.fromEntries(
      [...element.querySelectorAll('[data-school]')].map((row) => [
        row.getAttribute('data-school'),
        written(row),
      ]),
    )

  it('puts the schools beside each other, each with its place or what it lacks', async () => {
    const { element } = await show(BalancePanel, { plan: planOf({ widestFromToe: 60, frogApex: 45 }) })
    expect(rows(element)).toEqual({
      landmark: 'Landmark 2 – 2 1/4" -1/8"',
      thirds: expect.stringMatching(/^Thirds 2 \d+\/\d+" /) as string,
      radiographic: 'Radiographic lacks a lateral radiograph with the tip of P3',
      perimeter: 'Perimeter 2 3/8" same',
    })
  })

  it('offers to set the toe back only as far as a fit allows, and to use a school for the whole horse', async () => {
    const asked: unknown[] = []
    const near = { widestFromToe: 62, breakoverSchool: 'landmark' } as const
    const { fixture, element } = await show(BalancePanel, { plan: planOf(near) })
    fixture.componentInstance.setToe.subscribe((mm) => asked.push(Math.round(mm * 100) / 100))
    fixture.componentInstance.use.subscribe((use) => asked.push(use))
    const buttons = () => [...element.querySelectorAll('button')]
    buttons()
      .find((one) => one.textContent.includes('toe back'))!
      .click()
    buttons()[0]!.click()
    expect(asked).toEqual([4.85, { school: 'landmark', all: true }])
    fixture.componentRef.setInput('plan', planOf())
    await fixture.whenStable()
    expect(element.textContent).not.toContain('toe back to it')
  })

  it('compares the lever with the last shoe and says what is not measured', async () => {
    const plan = planOf({ widestFromToe: 60 }, { fit: { toeSetBack: 6.35 } })
    const { text } = await show(BalancePanel, { plan, worn: planOf({ widestFromToe: 60 }).balance })
    expect(text()).toContain('-1/4" against the trimmed toe, -1/4" against the last')
    expect(text()).toContain('pastern not measured')
  })
})

describe('SideDrawing', () => {
  it('says how the axis stands, and lays the untrimmed foot under it', async () => {
    const { text, element, fixture } = await show(SideDrawing, { foot: foot({ pasternAngle: 58 }) })
    expect(text()).toContain('broken back by 6.0°')
    expect(element.querySelector('.before')).toBeNull()
    fixture.componentRef.setInput('untrimmed', { toeAngle: 47, dorsalLength: 95 })
    await fixture.whenStable()
    expect(element.querySelector('.before')).not.toBeNull()
    expect(text()).toContain('Dashed: before the trim.')
  })

  it('draws bone only from a radiograph’s figures', async () => {
    const bare = await show(SideDrawing, { foot: foot({ palmarAngle: 5 }) })
    expect(bare.element.querySelector('.bone')).toBeNull()
    const known = await show(SideDrawing, { foot: foot({ palmarAngle: 5, tipFromToe: 20, soleDepth: 12 }) })
    expect(known.element.querySelector('.bone')).not.toBeNull()
  })
})

describe('CompareView', () => {
  const others = [
    { key: 'v1', label: 'LF a month ago', foot: { ...FOOT, width: 121 } },
    { key: 'pair', label: 'RF at this visit', foot: FOOT },
  ]
  const cells = (element: HTMLElement) => [...element.querySelectorAll('tbody tr')].map(written)

  it('says region by region how far this foot stands outside the other', async () => {
    const { element, text } = await show(CompareView, { foot: foot(), side: 'LF', others })
    expect(text()).toContain('LF now against LF a month ago')
    expect(cells(element)[2]).toBe('quarter +1/8" +1/8"')
    expect(element.querySelectorAll('path[fill="url(#outside)"]').length).toBeGreaterThan(0)
    expect(element.querySelector('svg')!.getAttribute('aria-label')).toContain('quarter +1/8" and +1/8"')
  })

  it('lays the foot against its own mirror image', async () => {
    const uneven = foot({ lateralHalfWidth: 66.5 })
    const { element } = await show(CompareView, { foot: uneven, side: 'LF', others: [] })
    expect(cells(element)[2]).toBe('quarter +1/4"')
  })

  it('turns to the last visit once that has come, and stays with itself where a hand chose that', async () => {
    const { element, fixture, text } = await show(CompareView, { foot: foot(), side: 'LF', others: [] })
    const come = async (some: typeof others) => {
      fixture.componentRef.setInput('others', some)
      await fixture.whenStable()
    }
    await come(others)
    expect(text()).toContain('LF now against LF a month ago')
    const choice = element.querySelector('select')!
    choice.value = 'itself'
    choice.dispatchEvent(new Event('change'))
    await come(others.slice(0, 1))
    expect(text()).toContain('outer half against inner')
  })
})

describe('RulePicture', () => {
  it('has a picture for every figure that is measured, and none for a shape judged by eye', async () => {
    const judged = ['toeShape', 'quarterShape']
    expect(FOOT_FIGURES.map(({ key }) => key).filter((key) => !RULES[key])).toEqual(judged)
    for (const { key } of FOOT_FIGURES.filter((figure) => RULES[figure.key])) {
      const { element } = await show(RulePicture, { figure: key })
      expect(element.querySelectorAll('.rule').length, key).toBeGreaterThan(0)
      expect(element.querySelector('svg')!.outerHTML).not.toContain('NaN')
    }
    expect((await show(RulePicture, { figure: 'toeShape' })).element.querySelector('svg')).toBeNull()
  })
})

describe('KeyboardCaliper', () => {
  it('types into the field that was last in hand, key by key, and ends with Enter', () => {
    const caliper = TestBed.inject(KeyboardCaliper)
    expect(caliper.type('1 mm')).toBeUndefined()
    const field = document.body.appendChild(document.createElement('input'))
    field.dataset['field'] = 'width'
    field.value = 'old'
    const keys: string[] = []
    let inputs = 0
    field.addEventListener('keydown', ({ key }) => keys.push(key))
    field.addEventListener('input', () => inputs++)
    field.focus()
    expect(caliper.type('12.5 mm')).toBe('width')
    expect(field.value).toBe('12.5 mm')
    expect(keys).toEqual([...'12.5 mm', 'Enter'])
    expect(inputs).toBe(7)
    field.remove()
    expect(caliper.type('1 mm')).toBeUndefined()
  })
})
