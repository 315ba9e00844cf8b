import { TestBed } from '@angular/core/testing'
import {
  MODIFICATIONS,
  PLAIN_SHOE,
  planShoe,
  type ProblemError,
  type Problem,
  type ShoeInput,
} from '@crescent/core'
import { FOOT, STORE } from '../../../testing/samples'
import { ModificationList } from './modification-list'

type Given = NonNullable<ShoeInput['modifications']>

const plan = (modifications: Given) => planShoe(FOOT, { ...PLAIN_SHOE, fit: 'conservative', modifications })
function problems(modifications: Given): readonly Problem[] {
  try {
    plan(modifications)
    return []
  } catch (error) {
    return (error as ProblemError).problems
  }
}

async function show(modifications: Given, inputs: Record<string, unknown> = {}) {
  TestBed.configureTestingModule({ providers: STORE })
  const fixture = TestBed.createComponent(ModificationList)
  fixture.componentRef.setInput('modifications', modifications)
  for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value)
  const changes: { modifications: Given; touched: string }[] = []
  fixture.componentInstance.changed.subscribe(({ edit, touched }) =>
    changes.push({ modifications: edit(fixture.componentInstance.modifications()), touched }),
  )
  await fixture.whenStable()
  const element = fixture.nativeElement as HTMLElement
  const offers = () => [...element.querySelectorAll<HTMLButtonElement>('.offers button')]
  return { fixture, element, changes, offers }
}

describe('ModificationList', () => {
  it('offers every modification, and puts one on with its defaults', async () => {
    const { offers, changes } = await show([])
    expect(offers().map((one) => one.querySelector('strong')!.textContent)).toEqual(
      MODIFICATIONS.map(({ label }) => label),
    )
    offers()[0]!.click()
    expect(changes).toEqual([{ modifications: [{ kind: MODIFICATIONS[0]!.kind }], touched: 'mod.toe-clip' }])
  })

  it('shuts what cannot stand beside what is there, and says why', async () => {
    const { offers } = await show([{ kind: 'egg-bar' }])
    const straight = offers().find((one) => one.textContent.includes('Straight bar'))!
    expect(straight.disabled).toBe(true)
    expect(straight.textContent).toContain('closed by one bar')
    expect(offers().some((one) => one.textContent.includes('Egg bar'))).toBe(false)
  })

  it('shows each figure with its default, takes a typed one, gives it back, and takes the whole off', async () => {
    const given: Given = [{ kind: 'wedge' }]
    const { element, changes, fixture } = await show(given, { plan: plan(given) })
    const rise = element.querySelector<HTMLInputElement>('[data-field="mod.wedge.rise"]')!
    expect(rise.placeholder).toMatch(/"$/)
    rise.value = '1/4'
    rise.dispatchEvent(new Event('input'))
    expect(changes.at(-1)).toEqual({
      modifications: [{ kind: 'wedge', rise: 6.35 }],
      touched: 'mod.wedge.rise',
    })
    fixture.componentRef.setInput('modifications', changes.at(-1)!.modifications)
    await fixture.whenStable()
    element.querySelector<HTMLElement>('[aria-label="Back to the default of Rise at the heels"]')!.click()
    expect(changes.at(-1)!.modifications).toEqual([{ kind: 'wedge' }])
    element.querySelector<HTMLElement>('[aria-label="Take off Wedge"]')!.click()
    expect(changes.at(-1)!.modifications).toEqual([])
  })

  it('puts a refusal at its figure, and at the whole where the whole has no room', async () => {
    const high: Given = [{ kind: 'wedge', rise: 90 }]
    const { element } = await show(high, { problems: problems(high) })
    expect(element.querySelector('[role=alert]')!.textContent).toContain('is not possible here')
    TestBed.resetTestingModule()
    const both: Given = [{ kind: 'egg-bar' }, { kind: 'straight-bar' }]
    const shown = await show(both, { problems: problems(both) })
    expect(
      shown.element.querySelector('section[aria-label="Straight bar"] [role=alert]')!.textContent,
    ).toContain('closed by one bar')
  })
})
