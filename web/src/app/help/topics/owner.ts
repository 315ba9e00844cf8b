import type { HelpTopic } from '../help-topic'

export const owner: HelpTopic = {
  key: 'owner',
  title: 'An owner',
  lines: [
    { text: 'Phone, e-mail and place stand with each of the owner’s horses, on the Round too.' },
    { text: 'Nothing is sent to anybody: it stays in this practice’s own file.' },
  ],
}
