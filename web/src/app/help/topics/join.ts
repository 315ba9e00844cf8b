import type { HelpTopic } from '../help-topic'

export const join: HelpTopic = {
  key: 'join',
  title: 'Join two records',
  lines: [
    {
      text: 'Where one horse or owner was written down twice, everything of the other record comes to this one.',
    },
    {
      text: 'The other record is archived, not thrown away. Where both say something different, this one holds.',
    },
  ],
}
