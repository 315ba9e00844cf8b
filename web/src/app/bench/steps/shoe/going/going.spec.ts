import { TestBed } from '@angular/core/testing'
import { PLAIN_SHOE, type ShoeInput, type Vec } from '@crescent/core'
import { depthAt, groundOf } from '@crescent/core/going'
import { Store } from '@ngrx/store'
import { settingsActions } from '../../../../state/settings/settings.feature'
import { FOOT, pattern, planOf, show, STORE } from '../../../../testing/samples'
import { GoingWords } from './going-words'
import { otherDesigns } from './other-designs'
import { sinkBands } from './sink-bands'
import { isSlider, slickerOf, turnWords } from './sliding'
import { StandingFigures } from './standing-figures'
import { StoodShoe } from './stood-shoe'
import { standingOf, type AskedStanding, type Stood } from './stood'

const shoeWith = (...modifications: NonNullable<ShoeInput['modifications']>): ShoeInput => ({
  ...PLAIN_SHOE,
  fit: 'general',
  modifications,
})
const asked = (shoe: ShoeInput, more: Partial<AskedStanding> = {}): AskedStanding => ({
  ...{ foot: FOOT, shoe, workshop: {}, kg: 500 },
  ...{ ground: groundOf('sand arena'), load: { newtons: 3_000, at: [0, 0] } },
  ...more,
})
function stood(shoe: ShoeInput, more: Partial<AskedStanding> = {}): Stood {
  const standing = standingOf(asked(shoe, more))
  if (!standing.ok) throw new Error(JSON.stringify(standing.problems))
  return standing.stood
}

beforeEach(() => {
  TestBed.configureTestingModule({ providers: STORE })
  TestBed.inject(Store).dispatch(settingsActions.change({ changes: { unit: 'mm' } }))
})

describe('standingOf', () => {
  it('goes to a worker and back: nothing of it is more than data', () => {
    const standing = standingOf(asked(shoeWith({ kind: 'heart-bar' })))
    expect(structuredClone(standing)).toEqual(standing)
  })

  it('says by figure what cannot stand or cannot be made', () => {
    const beside = standingOf(asked(shoeWith(), { load: { newtons: 3_000, at: [0, 300] } }))
    expect(beside.ok ? [] : beside.problems.map(({ path }) => path)).toEqual(['load.at'])
    const impossible = standingOf(asked({ ...shoeWith(), section: { ...PLAIN_SHOE.section, width: 900 } }))
    expect(impossible.ok).toBe(false)
  })
})

describe('sinkBands', () => {
  const square: Vec[] = [
    [-50, -50],
    [50, -50],
    [50, 50],
    [-50, 50],
  ]
  it('are four by depth where the shoe tilts, each strip as deep as it says', () => {
    const plane = { c: 10, p: 0.01, q: -0.08 }
    const bands = sinkBands(plane, square)
    expect(bands.map(({ level }) => level)).toEqual([0, 1, 2, 3])
    for (const { from, to, strip } of bands) {
      const depths = strip.map((point) => depthAt(plane, point))
      expect(Math.min(...depths)).toBeCloseTo(from, 1)
      expect(Math.max(...depths)).toBeCloseTo(to, 1)
    }
    expect(bands[0]!.from).toBeCloseTo(10 - 0.5 - 4, 6)
    expect(bands[3]!.to).toBeCloseTo(10 + 0.5 + 4, 6)
  })

  it('are one where all sinks alike, none on rock, and show what comes up', () => {
    expect(sinkBands({ c: 8, p: 0, q: 0 }, square).map(({ level }) => level)).toEqual([1])
    expect(sinkBands({ c: 0, p: 0, q: 0 }, square)).toEqual([])
    const clear = sinkBands({ c: 1, p: 0, q: 0.1 }, square)
    expect(clear[0]).toMatchObject({ level: -1, to: 0 })
    expect(clear).toHaveLength(5)
  })
})

describe('what is shown of it', () => {
  it('draws the bands, each hatched, and the depths in the chosen unit', async () => {
    const plan = planOf({}, shoeWith({ kind: 'wide-toe' }))
    const moved: Vec[] = []
    const { element, fixture } = await show(StoodShoe, {
      ...{ name: 'Wide toe', plan, side: 'LF', load: [0, 0] },
      stood: stood(shoeWith({ kind: 'wide-toe' })),
    })
    fixture.componentInstance.moved.subscribe((at: Vec) => moved.push(at))
    expect(element.querySelectorAll('.band')).toHaveLength(4)
    expect(element.querySelectorAll('[fill*="hatch"]')).toHaveLength(3)
    const depths = [...element.querySelectorAll('.word')].map((word) => word.textContent.trim())
    expect(depths).toHaveLength(3)
    expect(depths.every((depth) => depth.endsWith(' mm'))).toBe(true)
    const load = element.querySelector<SVGGElement>('.load')!
    // Up is toward the toe; right of a left foot is its outside.
    for (const key of ['ArrowUp', 'ArrowRight', 'Tab'])
      load.dispatchEvent(new KeyboardEvent('keydown', { key }))
    expect(moved).toEqual([
      [0, 2],
      [2, 0],
    ])
  })

  it('tells two designs side by side, part by part', async () => {
    const [mine, theirs] = [stood(shoeWith()), stood(shoeWith({ kind: 'heart-bar' }))]
    const { element } = await show(StandingFigures, {
      ...{ mineName: 'This shoe', theirsName: 'Heart', mine, theirs },
    })
    const rows = [...element.querySelectorAll('tbody tr')].map((row) =>
      [...row.querySelectorAll('th, td')].map((cell) => cell.textContent.trim()),
    )
    const frog = rows.find(([label]) => label === 'Frog plate')!
    expect(frog[1]).toBe('–')
    expect(parseInt(frog[2]!)).toBeCloseTo(theirs.going.shares.frogPlate! * 100, -0.5)
    expect(rows.find(([label]) => label === 'Heels down by')![1]).toMatch(/^\+\d\.\d°$/)
  })

  it('tells both schools of the fetlock, and what the frog keeps through the stride', async () => {
    const packed = stood(shoeWith({ kind: 'wide-toe' }), { packing: { covers: 'frog', stiffness: 0.07 } })
    const { element } = await show(GoingWords, { name: 'Wide toe', stood: packed })
    expect(element.textContent).toContain('one school, the pastern turns with the hoof')
    expect(element.textContent).toContain('the knee keeps its height')
    expect(element.textContent).toContain('Packing carries')
    expect(element.textContent).not.toContain('Slides')
    const rock = stood(shoeWith({ kind: 'wide-toe' }), { ground: groundOf('rock') })
    const hard = await show(GoingWords, { name: 'On rock', stood: rock })
    expect(hard.element.textContent).toContain('does not give')
  })
})

it('beside a shoe lie the same without one of its parts, designs on its bar, and patterns', () => {
  const shoe = shoeWith({ kind: 'studs', height: 4 }, { kind: 'egg-bar' })
  const others = otherDesigns(shoe, [pattern('p1')])
  const bare = others.find(({ label }) => label === 'This shoe without studs')!
  expect(bare.shoe.modifications).toEqual([{ kind: 'egg-bar' }])
  expect(bare.shoe.section).toEqual(shoe.section)
  expect(others.find(({ label }) => label === 'Plain shoe')!.shoe.section).toEqual(shoe.section)
  expect(others.at(-1)).toMatchObject({ key: 'p1', label: 'LF · Road set' })
  expect(new Set(others.map(({ key }) => key)).size).toBe(others.length)
})

describe('sliding', () => {
  const slide = (toeWeb: number): ShoeInput => ({
    ...shoeWith({ kind: 'slide-shoe', toeWeb, turn: 2 }),
    section: { ...PLAIN_SHOE.section, width: 25.4 },
  })

  it('is told of shoes that slide, and which of two is slicker', () => {
    expect(isSlider(slide(26))).toBe(true)
    expect(isSlider(shoeWith({ kind: 'wedge' }))).toBe(false)
    expect(isSlider(undefined)).toBe(false)
    const [narrow, wide] = [stood(slide(19)).slip, stood(slide(34)).slip]
    expect(slickerOf(narrow, wide, 'Wide')).toMatch(/^Wide is the slicker: it pushes \d+ % less/)
    expect(slickerOf(wide, narrow, 'Narrow')).toMatch(/^This shoe is the slicker/)
    expect(slickerOf(wide, wide, 'Same')).toContain('alike')
  })

  it('says how far it may be turned, and how the last one was', () => {
    const { modifications } = planOf({}, slide(26))
    const [line, may, last] = turnWords(modifications, slide(26), slide(26), 6)
    expect(line).toBe('It points 4.0° outward of the line of travel.')
    expect(may).toMatch(/up to \d+\.\d° to either side/)
    expect(last).toContain('turned by 2.0°')
    expect(turnWords([], undefined, undefined, 6)).toEqual([])
  })
})
