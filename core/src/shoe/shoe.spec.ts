import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyFoot } from '../testing/any-foot'
import { readFoot, type Foot } from '../foot/measurements'
import { footOutline } from '../foot/outline'
import { nearestStation, placeAt, trackLength } from '../geometry/track'
import { distance, dot, subtract, turnRight } from '../geometry/vector'
import type { FootInput } from '../records/foot'
import { FIVE_BY_FIVE } from '../testing/samples'
import { inches } from '../units/length'
import { COMMON_SECTIONS, commonName, suggestSection } from './common-sections'
import { checkFit, COIN, FIT_PRESETS, resolveFit, setBackBy } from './fit'
import { profileVolume, volumeTo } from './profile'
import { plainLay } from './lay'
import { layRims, shoeBody } from './rims'
import type { Section } from '../records/shoe'
import { checkSection, DENSITY } from './section'
import { centroidFromOuter, sectionArea } from './section-form'

const foot = (input: Partial<FootInput> = {}): Foot => {
  const read = readFoot({ ...FIVE_BY_FIVE, ...input })
  if (!read.ok) throw new Error(JSON.stringify(read.problems))
  return read.value.foot
}

const POUND_PER_FOOT = 453.59237 / 304.8

/** Grams in a millimetre of straight bar. */
const weightPerLength = (section: Section): number => sectionArea(section) * DENSITY[section.material] * 1e-6

describe('section', () => {
  // Flat bar weights as handbooks list them: 3.4 lb per foot per square inch (Machinery's Handbook, flat bar tables).
  it.each([
    [3 / 4, 5 / 16, 0.797],
    [1, 5 / 16, 1.063],
    [5 / 8, 1 / 4, 0.531],
  ])('weighs %d x %d in steel as the tables say', (width, thickness, poundsPerFoot) => {
    const grams = weightPerLength({
      shape: 'flat',
      width: inches(width),
      thickness: inches(thickness),
      material: 'steel',
    })
    expect(Math.abs(grams / (poundsPerFoot * POUND_PER_FOOT) - 1)).toBeLessThan(0.003)
  })

  it('makes aluminium about a third of steel', () => {
    const bar = { shape: 'flat', width: 25.4, thickness: 9.525 } as const
    expect(
      weightPerLength({ ...bar, material: 'aluminium' }) / weightPerLength({ ...bar, material: 'steel' }),
    ).toBeCloseTo(2700 / 7850, 12)
  })

  it('knows the half circle and the concave by sampling their shapes', () => {
    const round = { shape: 'half-round', width: 20, thickness: 10, material: 'steel' } as const
    expect(sectionArea(round)).toBeCloseTo((Math.PI * 100) / 2, 9)
    expect(centroidFromOuter(round)).toBe(10)
    const concave = { shape: 'concave', width: 20, thickness: 10, material: 'steel' } as const
    let [area, moment] = [0, 0]
    for (let x = 0.005; x < 20; x += 0.01) {
      const height = x < 12 ? 10 : 10 - (5.5 * (x - 12)) / 8
      area += height * 0.01
      moment += height * x * 0.01
    }
    expect(sectionArea(concave)).toBeCloseTo(area, 2)
    expect(centroidFromOuter(concave)).toBeCloseTo(moment / area, 3)
  })

  it('refuses a bar nobody rolls', () => {
    const problems = checkSection({ shape: 'flat', width: 200, thickness: 0.5, material: 'steel' })
    expect(problems.map((p) => p.path)).toEqual(['shoe.section.width', 'shoe.section.thickness'])
    const bar = { shape: 'flat', width: 19, thickness: 8 } as const
    expect(checkSection({ ...bar, material: 'polymer' }).map((p) => p.path)).toEqual([
      'shoe.section.material',
    ])
    expect(checkSection({ ...bar, material: 'aluminium' })).toEqual([])
  })

  it('suggests heavier bars for wider feet, one lighter for thin walls, and the slide bar for a slide fit', () => {
    const name = (input: Partial<FootInput>, fit?: 'slide') => suggestSection(foot(input), fit).name
    expect(name({})).toBe('3/4 x 1/4')
    expect(name({ width: inches(5.25) })).toBe('3/4 x 5/16')
    // Common practice: a yearling's foot about 4 in wide and 4 1/4 in long takes 1/2 x 1/4.
    expect(name({ width: inches(4), length: inches(4.25), heelWidth: inches(2.8) })).toBe('1/2 x 1/4')
    expect(name({ width: inches(5.25), wallThickness: 5 })).toBe('3/4 x 1/4')
    expect(name({}, 'slide')).toBe('1 x 5/16')
    expect(COMMON_SECTIONS.every(({ section, name }) => commonName(section) === name)).toBe(true)
  })
})

const gapAt = (
  f: Foot,
  outline: ReturnType<typeof footOutline>,
  rims: ReturnType<typeof layRims>,
  s: number,
) => {
  const rim = placeAt(rims.outer, s).point
  const wall = placeAt(outline.track, nearestStation(outline.track, rim))
  return dot(subtract(rim, wall.point), turnRight(wall.tangent))
}

describe('fit', () => {
  it('is level from the toe to the bend, grows evenly behind it and leaves a coin at the heel', () => {
    const f = foot()
    const outline = footOutline(f)
    const rims = layRims(outline, plainLay(resolveFit('general', f), f, outline, 19), 0.5)
    for (let s = rims.lateralBend; s < rims.medialBend; s += 3)
      expect(Math.abs(gapAt(f, outline, rims, s))).toBeLessThan(2e-3)
    let last = 0
    for (let s = rims.medialBend; s < trackLength(rims.outer) - 5; s += 3) {
      const gap = gapAt(f, outline, rims, s)
      expect(gap).toBeGreaterThanOrEqual(last - 1e-6)
      last = gap
    }
    expect(last).toBeGreaterThan(COIN)
  })

  it('ends where each preset says', () => {
    const f = foot()
    const outline = footOutline(f)
    const buttressY = f.widestFromToe - f.length
    const heelY = (name: (typeof FIT_PRESETS)[number]['name']) =>
      placeAt(layRims(outline, plainLay(resolveFit(name, f), f, outline, 19), 0.5).outer, 0).point[1]
    expect(Math.abs(heelY('flush') - buttressY)).toBeLessThan(0.01)
    expect(Math.abs(heelY('conservative') - buttressY)).toBeLessThan(1.5)
    expect(heelY('supportive')).toBeLessThan(heelY('general'))
    expect(heelY('slide')).toBeLessThan(heelY('supportive'))
  })

  it('refuses what no foot allows and fills in what is left out', () => {
    const f = foot()
    expect(checkFit(resolveFit({ spread: 40 }, f), f)[0]!.path).toBe('shoe.fit.spread')
    expect(checkFit(resolveFit({ heelLength: 6 }, f), f)).toEqual([])
    expect(resolveFit({ heelLength: 6 }, f).spread).toBe(resolveFit('general', f).spread)
  })

  it('sets the toe back under the wall and nowhere else', () => {
    const f = foot()
    const outline = footOutline(f)
    const rims = layRims(outline, plainLay(resolveFit({ toeSetBack: 8 }, f), f, outline, 19), 0.5)
    expect(gapAt(f, outline, rims, rims.toe)).toBeCloseTo(-8, 3)
    expect(Math.abs(gapAt(f, outline, rims, rims.medialBend))).toBeLessThan(2e-3)
  })
})

describe('a toe set back to bring the breakover back', () => {
  it('is added to what the fit sets it back already, where it is worth it and a fit allows it', () => {
    const f = foot()
    const fit = resolveFit({ toeSetBack: 4 }, f)
    expect(setBackBy(fit, f, 3)).toBe(7)
    // Less than a rule shows is nothing to move a shoe for.
    expect(setBackBy(fit, f, 0.5)).toBeUndefined()
    // No more than the figure of the fit itself may be: 15 % of the length.
    expect(setBackBy(fit, f, f.length * 0.15 - 4.1)).toBeCloseTo(f.length * 0.15 - 0.1, 9)
    expect(setBackBy(fit, f, f.length * 0.15 - 3.9)).toBeUndefined()
  })
})

describe('branches to the bulbs', () => {
  const heels = (f: Foot, behind: 'straight back' | 'to the bulbs', heelLength: number, web = 19) => {
    const outline = footOutline(f)
    const rims = layRims(outline, plainLay(resolveFit({ behind, heelLength }, f), f, outline, web), 0.5)
    const ends = ({ points }: typeof rims.outer) => points[0]![0] - points.at(-1)![0]
    const back = rims.outer.tangents[0]!
    return { gap: ends(rims.inner), across: ends(rims.outer), inward: Math.atan2(back[0], back[1]) }
  }

  it('turn in as the bulbs do: 14 % of half the heel width over the bulb line, worked by hand', () => {
    const f = foot({ bulbLine: 20, frogWidth: 30 })
    // Both stand wider than the wall by the room at the heel, which goes on growing: what differs is the turn.
    const turned = heels(f, 'to the bulbs', 20, 10).inward - heels(f, 'straight back', 20, 10).inward
    expect(turned).toBeCloseTo(Math.atan2((0.14 * f.heelWidth) / 2, 20), 2)
    expect(heels(f, 'to the bulbs', 20).across).toBeLessThan(heels(f, 'straight back', 20).across - 3)
  })

  it('leave the frog free for any foot, however long they are: no nearer than it is wide, or than straight ones are', () => {
    fc.assert(
      fc.property(anyFoot, fc.double({ min: 1, max: 30, noNaN: true }), (input, long) => {
        const f = foot(input)
        const free = Math.min(f.frogWidth, heels(f, 'straight back', long).gap)
        expect(heels(f, 'to the bulbs', long).gap).toBeGreaterThan(free - 0.05)
      }),
    )
  })

  it('are straight where nothing goes on behind the buttress', () => {
    const f = foot()
    expect(heels(f, 'to the bulbs', 0)).toEqual(heels(f, 'straight back', 0))
    expect(heels(f, 'to the bulbs', -4)).toEqual(heels(f, 'straight back', -4))
  })
})

describe('rims', () => {
  it('keep the width of the bar between them, for any foot', () => {
    fc.assert(
      fc.property(anyFoot, fc.constantFrom(...FIT_PRESETS.map((p) => p.name)), (input, fit) => {
        const f = foot(input)
        const rims = layRims(footOutline(f), plainLay(resolveFit(fit, f), f, footOutline(f), 20), 0.5)
        // Where the two branches meet there is no open shoe; the plan refuses it.
        fc.pre(rims.inner.points[0]![0] - rims.inner.points.at(-1)![0] > 5)
        for (const p of rims.inner.points) {
          const away = distance(p, placeAt(rims.outer, nearestStation(rims.outer, p)).point)
          expect(Math.abs(away - 20)).toBeLessThan(0.1)
        }
        expect(shoeBody(rims).every(([x, y]) => Number.isFinite(x + y))).toBe(true)
      }),
      { numRuns: 40 },
    )
  })
})

describe('profile', () => {
  // A taper from 100 to 200 mm2 over 10 mm, worked by hand: half way 125 x 5, whole 150 x 10.
  const taper = {
    s: [-10, 0, 10],
    width: [1, 1, 1],
    thickness: [1, 1, 1],
    area: [100, 100, 200],
    finished: [],
  }
  it('integrates area by straight pieces, with the sign of the branch', () => {
    expect(volumeTo(taper, 5)).toBeCloseTo(625, 9)
    expect(volumeTo(taper, 10)).toBeCloseTo(1500, 9)
    expect(volumeTo(taper, -4)).toBeCloseTo(-400, 9)
    expect(volumeTo(taper, 0)).toBe(0)
    expect(profileVolume(taper)).toBeCloseTo(2500, 9)
  })
})
