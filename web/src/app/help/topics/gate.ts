import type { HelpTopic } from '../help-topic'

export const gate: HelpTopic = {
  key: 'gate',
  title: 'This calls for the vet',
  lines: [
    {
      text: 'Something was found or said that a vet must see first. The steps behind the Look stay shut until it is read.',
    },
    { text: 'Write down whom you spoke to and what was said: it is kept with the visit, with the time.' },
    { text: 'Going on means that you have read it, not that it is harmless. Pain at any step: stop.' },
  ],
}
