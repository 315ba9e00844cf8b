import type { HelpTopic } from '../help-topic'
import { made, PLAIN, word } from './kit'

export const shoe: HelpTopic = {
  key: 'shoe',
  title: 'Shoe',
  lines: [
    {
      text: 'Choose the bar and the fit, or begin from a design. Bar and cut length stand largest, at the right.',
      picture: PLAIN,
    },
    {
      text: 'The straight bar lies along the bottom. Every mark is told from the toe mark and from the nearer end.',
      picture: word('toe-mark'),
    },
    {
      text: 'The fit says how far the shoe stands wider than the foot behind the bend of the quarter, and where its heels end. Type one number and the fit is your own.',
      picture: word('spread'),
    },
    {
      text: 'What is made of the bar is chosen from the list or by picture. Each has figures with a usual value, and a diamond on the drawing that can be pulled.',
      picture: made('trailer'),
    },
    {
      text: 'Two that cannot stand together are refused with the reason; what should give you pause is a caution at the right, with what to do.',
      picture: made('egg-bar'),
    },
    {
      text: 'See it off the foot from either side, from the side, cut at any place, in the round, and against another pattern.',
      picture: word('crease'),
    },
    {
      text: 'Ground shows how it stands in sand, turf or mud: what sinks, by how much it tilts, who carries. Lay another design beside it on the same ground. Of a slide shoe it says how slick it is along its tracks.',
      picture: made('wide-toe'),
    },
  ],
}
