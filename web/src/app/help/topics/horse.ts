import type { HelpTopic } from '../help-topic'
import { word } from './kit'

export const horse: HelpTopic = {
  key: 'horse',
  title: 'A horse’s record',
  lines: [
    {
      text: 'Only the name is needed. Kind sets the usual figures of its feet; the cycle says when it is due again.',
    },
    {
      text: 'The school of breakover is the one its feet are judged by first. All schools stay in view, and each foot can take another.',
      picture: word('breakover'),
    },
    { text: 'Another owner takes the horse with its whole history: choose the owner here.' },
  ],
}
