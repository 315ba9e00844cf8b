import type { HelpTopic } from '../help-topic'
import { word } from './kit'

export const nail: HelpTopic = {
  key: 'nail',
  title: 'Nail',
  lines: [
    {
      text: 'Each hole lies over the outer edge of the white line and leans as the wall leans there. Tap a hole in the table for its cut through the wall.',
      picture: word('exit'),
    },
    {
      text: 'Finer, and the nail comes out low and tears.',
      picture: word('fine'),
    },
    {
      text: 'Coarser, and it comes out high or pricks: a nail that would prick is a stop, on the slip and in print.',
      picture: word('prick'),
    },
    {
      text: 'Say how many holes a branch has and which are driven; take hold of a hole on the drawing, or type its place, its lean and how far in it lies.',
    },
    {
      text: 'Mark old holes, cracks and broken wall with a touch on the wall: nails keep clear of them.',
      picture: word('wall'),
    },
    {
      text: 'Afterwards write down how high the nails came out, in one go. From three nails on Crescent says how yours turn, and reckons with it if you like.',
    },
  ],
}
