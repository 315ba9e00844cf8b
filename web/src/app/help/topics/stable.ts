import type { HelpTopic } from '../help-topic'

export const stable: HelpTopic = {
  key: 'stable',
  title: 'Stable',
  lines: [
    { text: 'All horses with their owners. Type a part of a name, an owner or a place to narrow the list.' },
    {
      text: 'A horse that has gone is archived, not thrown away: its visits and patterns stay, and it can come back.',
    },
    { text: 'Two records of one horse or one owner are joined from the horse’s page or the owner’s lines.' },
  ],
}
