import type { Vec } from '@crescent/core'
import { RADIOGRAPH_POINT_KEYS, type RadiographPointKey } from '@crescent/core/radiographs'
import { describe, expect, it } from 'vitest'
import { errorWords } from './plate-figures'
import {
  askedNext,
  figuresOf,
  freshPlate,
  mmPerPixel,
  scaleSaid,
  shaded,
  takenBack,
  unusual,
  withoutPoint,
  withPoint,
  type Plate,
} from './plate'
import type { OpenedPlate } from './plate-work'

const window = { centre: 100, width: 200 }
const opened: OpenedPlate = {
  ...{ ok: true, width: 1200, height: 960, inverted: false, told: [] },
  ...{ windows: { file: window, usual: window, whole: window }, scale: { by: 'detector', mmPerPixel: 0.15 } },
}
const fresh = freshPlate('a.dcm', { seed: 1 }, opened)
const asked = (plate: Plate) => {
  const next = askedNext(plate)
  return next && ('end' in next ? next.end : next.key)
}
/** Ground along 800, the underside of P3 at 45 degrees over it: its wing up and behind. */
const AT: Partial<Record<RadiographPointKey, Vec>> = {
  ...{ G1: [1000, 800], G2: [200, 800], T: [800, 700], U: [700, 600], S1: [800, 790], B: [900, 800] },
}
const marked = Object.entries(AT).reduce(
  (plate, [key, at]) => withPoint(plate, key as RadiographPointKey, at),
  fresh,
)
const figure = (plate: Plate, key: string) => figuresOf(plate).find((one) => one.key === key)!

describe('a radiograph that is marked', () => {
  it('asks for one place after the other, passes over what cannot be seen, and for what was chosen', () => {
    expect(asked(fresh)).toBe(RADIOGRAPH_POINT_KEYS[0])
    expect(asked(withPoint(fresh, RADIOGRAPH_POINT_KEYS[0]!, [1, 1]))).toBe(RADIOGRAPH_POINT_KEYS[1])
    expect(asked({ ...fresh, leftOut: [RADIOGRAPH_POINT_KEYS[0]!] })).toBe(RADIOGRAPH_POINT_KEYS[1])
    expect(asked({ ...fresh, chosen: 'F' })).toBe('F')
    expect(asked(withPoint({ ...fresh, chosen: 'F' }, 'F', [2, 2]))).toBe(RADIOGRAPH_POINT_KEYS[0])
    const all = RADIOGRAPH_POINT_KEYS.reduce((plate, key, i) => withPoint(plate, key, [i, i]), fresh)
    expect(asked(all)).toBeUndefined()
  })

  it('takes back what was set, moved and taken away, one after the other', () => {
    const once = withPoint(fresh, 'T', [1, 1])
    const moved = withPoint(once, 'T', [5, 5])
    const gone = withoutPoint(moved, 'T')
    expect([gone.points.T, asked(gone)]).toEqual([undefined, 'T'])
    expect(takenBack(gone).points.T).toEqual([5, 5])
    expect(takenBack(takenBack(gone)).points.T).toEqual([1, 1])
    expect(takenBack(takenBack(takenBack(gone))).points).toEqual({})
    expect(takenBack(fresh)).toBe(fresh)
  })

  it('has no scale until somebody says by what, and a marker asks for its two ends first', () => {
    expect(mmPerPixel(fresh)).toBeUndefined()
    expect(mmPerPixel({ ...fresh, scaleBy: 'file' })).toBe(0.15)
    const marker: Plate = { ...fresh, scaleBy: 'marker' }
    expect([asked(marker), mmPerPixel(marker)]).toEqual(['from', undefined])
    const ends: Plate = { ...marker, marker: { from: [0, 0], to: [300, 400], long: 50 } }
    expect([asked(ends), mmPerPixel(ends)]).toEqual([RADIOGRAPH_POINT_KEYS[0], 0.1])
    expect(mmPerPixel({ ...ends, marker: { ...ends.marker, to: [0, 0] } })).toBeUndefined()
    // A slip of the finger gives no scale.
    expect(mmPerPixel({ ...ends, marker: { ...ends.marker, long: 5000 } })).toBeUndefined()
  })

  it('without a scale reads angles and no lengths', () => {
    expect(figure(marked, 'palmarAngle').value).toBeCloseTo(45, 9)
    expect(figure(marked, 'soleTip')).toMatchObject({ value: null, lacks: ['the scale'] })
    const scaled: Plate = { ...marked, scaleBy: 'file' }
    expect(figure(scaled, 'soleTip').value).toBeCloseTo(13.5, 9)
    expect(figure(scaled, 'breakoverAhead').value).toBeCloseTo(15, 9)
  })

  it('calls unusual only what lies outside by more than its own error', () => {
    const sole = { key: 'soleTip', unit: 'mm', uncertainty: 1 } as const
    expect(unusual({ ...sole, value: 13.9 })).toBe(true)
    expect(unusual({ ...sole, value: 14.1 })).toBe(false)
    expect(unusual({ ...sole, value: 26.1 })).toBe(true)
    expect(unusual({ ...sole, value: null })).toBe(false)
    expect(unusual({ key: 'lever', unit: 'mm', value: 500, uncertainty: 1 })).toBe(false)
  })

  it('is never read without an error: one that is too small to write is under the least', () => {
    const text = { fine: (mm: number) => `${mm} mm` } as never
    expect(errorWords(0.002, { unit: 'share' } as never, text)).toBe('under 1 %')
    expect(errorWords(0.02, { unit: 'share' } as never, text)).toBe('2 %')
    expect(errorWords(0.01, { unit: 'degrees' } as never, text)).toBe('under 0.1°')
    expect(errorWords(0.4, { unit: 'mm' } as never, text)).toBe('0.4 mm')
  })

  it('says of each scale where it comes from', () => {
    expect(scaleSaid({ by: 'magnification', magnification: 1.08 })).toContain('1.080')
    expect(scaleSaid({ by: 'detector' })).toContain('too long')
    expect(scaleSaid({ by: 'unsaid' })).toContain('marker')
    expect(scaleSaid({ by: 'calibrated' })).toContain('calibrated')
  })

  it('is brighter when it is dragged up, of more contrast to the right, and never without any', () => {
    const whole = { centre: 2000, width: 4000 }
    const shown: Plate = {
      ...marked,
      window: { centre: 1500, width: 1200 },
      opened: { ...marked.opened, windows: { usual: whole, whole } },
    }
    // Half the width up: by half of all the greys, as the slider over all of them would.
    expect(shaded(shown, [0, 0.5])).toEqual({ centre: -500, width: 1200 })
    expect(shaded({ ...shown, inverted: true }, [0, 0.5]).centre).toBe(3500)
    expect(shaded(shown, [1, 0])).toMatchObject({ centre: 1500, width: 100 })
    expect(shaded(shown, [5, 0]).width).toBe(40)
    expect(shaded(shown, [-5, 0]).width).toBe(8000)
  })
})
