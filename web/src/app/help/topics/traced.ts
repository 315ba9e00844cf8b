import type { HelpTopic } from '../help-topic'
import { word } from './kit'

export const traced: HelpTopic = {
  key: 'traced',
  title: 'Outline from a file',
  lines: [
    {
      text: 'Choose a drawing of the foot’s edge (SVG or DXF), or a list of points along it (CSV: x and y in two columns). Lines that meet are joined. Where the file does not say its unit you are asked.',
    },
    {
      text: 'Tap three places on the line: the middle of the toe, the outer heel, the inner heel. Dashed circles show where they are likely to be; they are never taken as set before you agree. Whichever way round it was drawn, the outer heel tells how it lies.',
      picture: word('buttress'),
    },
    {
      text: 'A smooth line is laid through the points: the shake of the hand goes, the shape stays. Width, length and width across the heels are read from it. If the drawing is not at true size, type the width you measured.',
    },
    {
      text: 'The foot then is as it was traced, and every figure can still be overruled: the outline is drawn out to it. Toe angle and wall are measured as ever. Take it away, and the outline follows from the figures again.',
    },
  ],
}
