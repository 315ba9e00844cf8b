import type { HelpTopic } from '../help-topic'

export const bench: HelpTopic = {
  key: 'bench',
  title: 'Bench',
  lines: [
    { text: 'The Bench works on a visit. Start one on the Round, or from a horse in the Stable.' },
    { text: 'Visits that are still open are listed here; go on with one where you left it.' },
    {
      text: 'Back goes to the step before. Save all keeps every foot with unsaved work; after Finish the next horse of the day stands above.',
    },
  ],
}
