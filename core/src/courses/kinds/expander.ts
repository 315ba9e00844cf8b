import { length, told } from '../../notices/told'
import { inches } from '../../units/length'
import { BAR_DAYS, barDay, USUAL_BARS } from '../../terms/cross-bars'
import type { CourseFigures, CourseKind, StepRule } from '../kind'

const PAIN = 'Pain, heat or going short: take the bar out and call the vet.'

const bar = (number: number, days: number, step: number): StepRule => ({
  day: barDay(number, days),
  who: 'farrier',
  label: `Cross bar ${number}`,
  text:
    number === 1
      ? 'Fit the first bar into a foot that was soaked soft. Book the distance between the hole middles at rest.'
      : told`Fit the bar that is ${length(step, 'fine')} longer into a foot that was kept soft, ${apart(days)} days after the last. Book the resting measure.`,
  measure: { label: 'Resting measure, hole to hole', kind: 'length' },
  stops: PAIN,
})

/** Days from bar to bar as they are told: the usual span, or what was chosen outside of it. */
const apart = (days: number): string =>
  days >= BAR_DAYS[0] && days <= BAR_DAYS[1] ? `${BAR_DAYS[0]} to ${BAR_DAYS[1]}` : `${days}`

/** From the first bar on; a set that takes longer puts off what comes after it. */
const RESET = 45
const OFF = 90

function stepsFor({ bars, step, days }: BarSet): StepRule[] {
  const reset = Math.max(RESET, barDay(bars + 1, days))
  return [
    ...Array.from({ length: bars }, (_, i) => bar(i + 1, days, step)),
    {
      day: reset,
      who: 'farrier',
      label: 'Reset',
      text: told`Trim and reset the shoe ${length(inches(1 / 4))} to ${length(inches(1 / 2))} further back; begin a new set of bars from the new resting measure.`,
      measure: { label: 'Heel width', kind: 'length' },
      stops: PAIN,
    },
    {
      day: reset + OFF - RESET,
      who: 'farrier',
      label: 'Off, and look',
      text: 'Pull the shoe, measure the heels, decide with the vet: on for some months, or ordinary shoes.',
      measure: { label: 'Heel width', kind: 'length' },
    },
  ]
}

/** A set of cross bars: how many, each longer by how much, mm, and how many days apart. */
interface BarSet {
  bars: number
  step: number
  days: number
}

/** The set as it was put on the shoe; what was not said stands at what is usual. */
const setOf = (figures: CourseFigures): BarSet => {
  const said = (key: keyof BarSet): number => {
    const value = figures[key]
    return typeof value === 'number' ? value : USUAL_BARS[key]
  }
  return { bars: said('bars'), step: said('step'), days: said('days') }
}

/** Hinged heel expander: bars an eighth longer every 7 to 10 days, about 90 days. */
export const expander: CourseKind = {
  key: 'expander',
  label: 'Heel expander',
  use: 'Contracted heels spread by a hinged shoe and longer and longer cross bars, about 90 days.',
  vetLeads: true,
  follows: { modifications: ['hinged-expander'], advice: ['contracted-expander'] },
  inTurn: true,
  steps: stepsFor(USUAL_BARS),
  stepsFor: (figures) => stepsFor(setOf(figures)),
  signs: [
    { key: 'heels-wider', asks: 'Heels spread' },
    { key: 'frog-fuller', asks: 'Frog fuller, its cleft open' },
    { key: 'soft', asks: 'Foot kept soft' },
  ],
  meanwhile: [
    'Keep the foot soft: soak it or keep it packed wet every day.',
    'Look at the screws of the cross bar every day and tighten them by hand; never turn them to widen it.',
    'Soft ground only, no work that was not agreed.',
  ],
  pain: [
    'Going short, resting the foot, heat at the heels, not wanting it picked up.',
    'A bar that is loose, bent or lost.',
  ],
  stops: ['Any pain: the bar comes out at once.'],
}
