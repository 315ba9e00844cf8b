import type { HelpTopic } from '../help-topic'
import { word } from './kit'

export const expect: HelpTopic = {
  key: 'expect',
  title: 'What to expect',
  lines: [
    {
      text: 'From what was measured at this horse’s visits: how fast its toes grow, how far breakover drifts, how fast its shoes wear. Every figure carries the range that nine in ten fall into; with few visits it is wide.',
      picture: word('breakover'),
    },
    {
      text: 'Wear is told at the Look, before the shoe is pulled: by a tap for each place, or by the thickness that is left.',
    },
    {
      text: 'The day proposed for the next visit is the first of these: breakover past what its school allows, the shoe through, a step of a course, your own limit. Why stands beside it; take it, or set a day of your own.',
    },
  ],
}
