import type { HelpTopic } from '../help-topic'
import { made } from './kit'

export const load: HelpTopic = {
  key: 'load',
  title: 'Load a pattern',
  lines: [
    {
      text: 'From this horse the shoe comes as it was; take its measurements too where the foot has not been measured anew.',
    },
    {
      text: 'From all horses the design is fitted to this foot: what lies on the foot grows or shrinks with it, the bar stays.',
      picture: made('lateral-extension'),
    },
    { text: 'Either way one Undo brings back what stood on the Bench.' },
    {
      text: 'Most alike looks for the shape of this foot among those of all horses: laid over it, turned, and mirrored where that is nearer. The line tells how far off it is, and where most.',
    },
  ],
}
