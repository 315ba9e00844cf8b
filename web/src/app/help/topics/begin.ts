import type { HelpTopic } from '../help-topic'
import { PLAIN } from './kit'

export const begin: HelpTopic = {
  key: 'begin',
  title: 'Your own practice',
  lines: [
    { text: 'It begins empty. The demo is set aside as it is and can be looked at again from the settings.' },
    { text: 'Usual bar and fit are what every new foot begins with; each shoe may differ.', picture: PLAIN },
    { text: 'A first horse can be named now or later in the Stable.' },
  ],
}
