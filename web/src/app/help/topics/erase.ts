import type { HelpTopic } from '../help-topic'

export const erase: HelpTopic = {
  key: 'erase',
  title: 'Erase for good',
  lines: [
    {
      text: 'For records that must not be kept any longer. A horse that has gone is better archived: its patterns stay of use.',
    },
    {
      text: 'What goes with it is named. Take it out as a file first: a file can be brought in again from the settings.',
    },
    {
      text: 'Its place in the data file is written over as well. Backups from before still hold it; they are yours to keep or to take away.',
    },
  ],
}
