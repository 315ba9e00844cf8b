import { MODEL_FOOT } from '../../drawing/model-foot'
import type { HelpTopic } from '../help-topic'
import { word } from './kit'

export const finish: HelpTopic = {
  key: 'finish',
  title: 'Finish the visit',
  lines: [
    {
      text: 'Tick what was looked at on each nailed foot: two nails first, then look. Middle of the frog to the middle of the toe, square across, heels on their marks.',
      picture: {
        view: 'shod',
        marks: ({ landmarks }) => ({ lines: [[landmarks.frogApex, [0, MODEL_FOOT.foot.widestFromToe]]] }),
      },
    },
    { text: 'All exits in one line, each clinch bedded and smooth to the hand.', picture: word('exit') },
    {
      text: 'The note for next time opens with the next visit. The next visit is due by the horse’s cycle, unless you set a day for this once, or take the one that is proposed from growth, wear and courses.',
    },
    { text: 'A finished visit can be opened again; its day and its notes can still be changed.' },
  ],
}
