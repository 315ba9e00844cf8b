import type { HelpTopic } from '../help-topic'
import { PLAIN } from './kit'

export const save: HelpTopic = {
  key: 'save',
  title: 'Save pattern',
  lines: [
    {
      text: 'A pattern is the shoe with the foot it was made for. It stays with this foot of this horse, with the figures it came to.',
      picture: PLAIN,
    },
    {
      text: 'The next version takes the place of the one you began from; the earlier ones stay and can be brought back.',
    },
    {
      text: 'Saved while the server is away it waits in this browser, and goes out by itself once the server is back; what you change meanwhile is still to be saved.',
    },
    {
      text: 'Tags are words of your own to find it by: winter, road work. With a next version, say what changed and why: it stands beside that version for good.',
    },
    {
      text: 'A new pattern stands beside it: another design for the same foot. Patterns for another foot or horse are always new.',
    },
  ],
}
