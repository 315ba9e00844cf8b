import { length, told } from '../../notices/told'
import { inches } from '../../units/length'
import type { CourseKind, StepRule } from '../kind'

/** Four bars, each an eighth longer than the last. */
const BARS = 4
/** Days from one bar to the next: 7 to 10. */
const BETWEEN = 9
const PAIN = 'Pain, heat or going short: take the bar out and call the vet.'

const bar = (number: number): StepRule => ({
  day: (number - 1) * BETWEEN,
  who: 'farrier',
  label: `Cross bar ${number}`,
  text:
    number === 1
      ? 'Fit the first bar into a foot that was soaked soft. Book the distance between the hole middles at rest.'
      : told`Fit the bar that is ${length(inches(1 / 8), 'fine')} longer into a foot that was kept soft, 7 to 10 days after the last. Book the resting measure.`,
  measure: { label: 'Resting measure, hole to hole', kind: 'length' },
  stops: PAIN,
})

/** Hinged heel expander: bars an eighth longer every 7 to 10 days, about 90 days. */
export const expander: CourseKind = {
  key: 'expander',
  label: 'Heel expander',
  use: 'Contracted heels spread by a hinged shoe and longer and longer cross bars, about 90 days.',
  vetLeads: true,
  follows: { modifications: ['hinged-expander'], advice: ['contracted-expander'] },
  inTurn: true,
  steps: [
    ...Array.from({ length: BARS }, (_, i) => bar(i + 1)),
    {
      day: 45,
      who: 'farrier',
      label: 'Reset',
      text: told`Trim and reset the shoe ${length(inches(1 / 4))} to ${length(inches(1 / 2))} further back; begin a new set of bars from the new resting measure.`,
      measure: { label: 'Heel width', kind: 'length' },
      stops: PAIN,
    },
    {
      day: 90,
      who: 'farrier',
      label: 'Off, and look',
      text: 'Pull the shoe, measure the heels, decide with the vet: on for some months, or ordinary shoes.',
      measure: { label: 'Heel width', kind: 'length' },
    },
  ],
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
