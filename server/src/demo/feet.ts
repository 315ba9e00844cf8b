import type { FootInput, Side } from '@crescent/core'
import { chance, half, mm } from './made-up'
import type { DemoHorse } from './schema'

const DAYS_A_YEAR = 365.25

/** The foot on a day: its figures, the year's slow change, the wet season's spread and the rule's own error. */
export function footAt(horse: DemoHorse, side: Side, date: Date, today: Date): FootInput {
  const [width, long, heelWidth, toeAngle, wall, more] = side.endsWith('F') ? horse.fore : horse.hind!
  const years = (date.getTime() - today.getTime()) / 864e5 / DAYS_A_YEAR
  const season = Math.sin(2 * Math.PI * ((date.getMonth() + 1) / 12))
  const wobble = (what: string, size: number) =>
    (chance(horse.name, side, what, date.toISOString().slice(0, 10)) - 0.5) * 2 * size
  // One foot of a pair is always a shade different.
  const own = (what: string, size: number) => (chance(horse.name, side, what) - 0.5) * 2 * size
  const left = (what: string) => (side === 'LF' ? mm(horse.left?.[what] ?? '0') : 0)
  const refinements = Object.fromEntries(
    Object.entries(more).map(([key, value]) => [
      key,
      typeof value === 'number' || key === 'tipBy' ? value : mm(value),
    ]),
  )
  const wide = mm(width) + horse.trend * years + season * 0.8 + own('width', 1) + left('width')
  return {
    side,
    animal: horse.animal,
    width: half(wide + wobble('width', 0.5)),
    length: half(
      mm(long) + horse.trend * 0.6 * years - season * 0.5 + own('length', 1.2) + wobble('length', 0.8),
    ),
    heelWidth: half(
      mm(heelWidth) +
        horse.trend * 0.8 * years +
        season * 0.6 +
        own('heel', 0.8) +
        wobble('heel', 0.6) +
        left('heelWidth'),
    ),
    toeAngle: half(toeAngle + own('angle', 0.7) + wobble('angle', 0.7)),
    wallThickness: half(mm(wall)),
    ...seenBeside(horse, side, mm(long), toeAngle, wobble),
    ...refinements,
  }
}

/** What else was measured: the apex, the ends of the bars, the limb from its side. */
function seenBeside(
  horse: DemoHorse,
  side: Side,
  long: number,
  toeAngle: number,
  wobble: (what: string, size: number) => number,
): Partial<FootInput> {
  const own = (what: string, size: number) => (chance(horse.name, side, what) - 0.5) * 2 * size
  const apex = long * 0.47 - 25.4 + own('apex', 2) + wobble('apex', 0.7)
  const heelAngle = toeAngle - 3 + own('heel angle', 3)
  return {
    frogApex: half(apex),
    barsFromToe: half(apex + 25.4 + own('bars', 3) + wobble('bars', 0.7)),
    arcFromToe: half(apex + 25.4 + own('arc', 9)),
    heelAngle: half(heelAngle + wobble('heel angle', 0.7)),
    pasternAngle: half(toeAngle + own('pastern', 4)),
    dorsalLength: half(long * 0.65 + wobble('dorsal', 0.8)),
    heelHeight: half(long * 0.18 + wobble('heel height', 0.8)),
  }
}
