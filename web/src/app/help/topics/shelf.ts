import type { HelpTopic } from '../help-topic'
import { word } from './kit'

export const shelf: HelpTopic = {
  key: 'shelf',
  title: 'Nails on the shelf',
  lines: [
    {
      text: 'The table is your own: names as on your boxes, figures in millimetres as printed there. A nail is suggested that reaches out and is slim enough for the wall.',
      picture: word('exit'),
    },
    {
      text: 'How your nails turn is read from the exits you wrote down. Tighter comes out lower. Take it over only if the spread is small.',
      picture: word('lean'),
    },
  ],
}
