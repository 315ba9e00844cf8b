import type { HelpTopic } from '../help-topic'

export const again: HelpTopic = {
  key: 'again',
  title: 'As last time',
  lines: [
    {
      text: 'New shoes of the same, the old ones put back, or foot by foot: one confirmation keeps them all.',
    },
    {
      text: 'New ones are planned on the measures of last time. A foot that has changed is measured in Map instead: choose “Not yet” for it here.',
    },
    {
      text: 'Where something was found that calls for the vet, that foot is left out until it is answered; what a course asks for stands above.',
    },
  ],
}
