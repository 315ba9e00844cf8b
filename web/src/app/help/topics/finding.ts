import type { HelpTopic } from '../help-topic'
import { word } from './kit'

export const finding: HelpTopic = {
  key: 'finding',
  title: 'What is found at a place',
  lines: [
    {
      text: 'Only what can be found at this place is listed. Tap how bad it is; tap it again to take it off.',
      picture: word('toe-quarter'),
    },
    { text: 'A sign on a grade means that it calls for the vet before the work goes on.' },
    { text: 'Wall that is cracked, broken or loose is kept clear of nails by itself.' },
  ],
}
