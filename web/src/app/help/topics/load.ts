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
    {
      text: 'Found in the mirror, nails change sides with it; what is made for the outer or the inner side of a horse stays there. The new pattern remembers where it came from.',
    },
    {
      text: 'From a file reads a pattern that somebody sent. The menu of the Bench writes one: Pattern as a file.',
    },
    { text: 'Either way one Undo brings back what stood on the Bench.' },
    {
      text: 'Most alike looks for the shape of this foot among those of all horses: laid over it, turned, and mirrored where that is nearer. The line tells how far off it is, and where most.',
    },
  ],
}
