import type { HelpTopic } from '../help-topic'
import { made } from './kit'

export const versions: HelpTopic = {
  key: 'versions',
  title: 'Versions of a pattern',
  lines: [
    {
      text: 'Pick a version: it is drawn beside the one of now, with the list of what differs, cut and weight among it.',
      picture: made('squared-toe'),
    },
    { text: 'Each tells when it was saved, what was changed and why, where that was said.' },
    { text: 'Bringing one back makes it the newest version. Nothing in between is lost.' },
  ],
}
