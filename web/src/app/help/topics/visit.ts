import type { HelpTopic } from '../help-topic'

export const visit: HelpTopic = {
  key: 'visit',
  title: 'This visit',
  lines: [
    { text: 'The day it was, for a visit written down afterwards.' },
    {
      text: 'The next one is due by the horse’s cycle in weeks; a day set here counts for this once and leaves the cycle as it is.',
    },
    { text: 'A visit begun by mistake can be taken back as long as nothing is recorded at it.' },
  ],
}
