import type { HelpTopic } from '../help-topic'
import { made } from './kit'

export const gallery: HelpTopic = {
  key: 'gallery',
  title: 'Choose by picture',
  lines: [
    {
      text: 'Each is drawn on this foot with this bar, as it would be with its usual figures. Pick one and it is on the shoe.',
      picture: made('quarter-clips'),
    },
    { text: 'What cannot be made here stays in view with the reason under it.' },
  ],
}
