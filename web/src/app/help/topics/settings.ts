import type { HelpTopic } from '../help-topic'
import { word } from './kit'

export const settings: HelpTopic = {
  key: 'settings',
  title: 'Workshop and settings',
  lines: [
    { text: 'Lengths are shown in one unit everywhere, and may be typed in either.' },
    { text: 'Set the frame to a bank card once, and 1:1 on the drawing is true size on this screen.' },
    {
      text: 'What you lose to scale and your own correction go into every cut length.',
      picture: word('cut-length'),
    },
    { text: 'How tightly your nails turn decides how high they come out.', picture: word('exit') },
    {
      text: 'Back up now keeps a copy beside the data; Download a backup gives it to you as a file. Putting one back names first what would be lost, and keeps a copy of it.',
    },
    {
      text: 'Where a password is needed, who is signed in is listed: sign a telephone out that was lost.',
    },
  ],
}
