import type { HelpTopic } from '../help-topic'
import { word } from './kit'

export const size: HelpTopic = {
  key: 'size',
  title: 'Size',
  lines: [
    {
      text: 'The factory shoes of your table, laid on this foot with their length kept: middle of toe to middle of toe, heels where the length ends. First stands what needs least.',
    },
    {
      text: 'A shoe that is opened draws its heels forward, one that is closed pushes them back: so a size up may match the outline and still carry too much heel.',
    },
    {
      text: 'Each hole is read against the white line. A hole inside it rules the size out: a nail there would prick.',
      picture: word('prick'),
    },
    {
      text: 'Use a size and it lies on the Bench like any shoe: clips, rolled toe, bars and pads can be made of it, nails go where its holes are. Or make the shoe by hand.',
    },
    {
      text: 'Lay a second one over it to see where they differ. What it measures as sold and what it must measure when it is shaped stand beside the drawing: measure before you walk.',
    },
    {
      text: 'A moulded shoe is not bent: it lies flush with the inner wall, can be shifted and turned, is sawn outside and at the heels, never into its crease, and drilled where this foot needs it. Where its crease lies further out than the white line, the drill leans more to make up for the thickness. Reset, it takes none from the van, and its weeks are counted: up to a year.',
    },
    {
      text: 'Work, going, living and the advice you accepted weigh in, and are named where they do. Set the weights to what counts for you.',
    },
  ],
}
