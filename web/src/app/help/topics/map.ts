import { rulePicture } from '../rule-picture'
import type { HelpTopic } from '../help-topic'
import { word } from './kit'

export const map: HelpTopic = {
  key: 'map',
  title: 'Map',
  lines: [
    {
      text: 'Trim first, dress the flares, then measure. Clean the frog to its true apex and find the sole plane on both sides.',
      picture: word('apex'),
    },
    {
      text: 'Five figures are enough: width at the widest part, length from the toe to the buttress line, width across the heels, toe angle, and the thickness of the wall where the nails will go.',
      pictures: ['width', 'length', 'heelWidth', 'toeAngle'].map((figure) => rulePicture(figure)!),
    },
    {
      // eslint-disable-next-line no-restricted-syntax -- what may be typed, not a length that is told
      text: 'Write a length as you read it: 4 7/8, 4-7/8", 4.875 in, 124 mm or 12.4 cm. Enter goes to the next figure; Up and Down move it by the finest division of your rule.',
    },
    {
      text: 'The folded groups hold what can be known better. A dashed field is a usual figure of such a foot: type over it, or leave it. The arrow in the field goes back to it.',
    },
    {
      text: 'The widest part shows in three ways. Type what you see; the two that agree are taken, and the panel says how far apart they lie.',
      picture: word('widest-part'),
    },
    {
      text: 'The handles on the drawing are the same figures: pull them, or move them with the arrow keys. On a phone rest a finger on one first, or tap the drawing.',
    },
    {
      text: 'The schools of breakover stand side by side; the one in use is marked, and decides nothing behind your back.',
      picture: word('breakover'),
    },
  ],
}
