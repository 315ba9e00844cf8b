import type { HelpTopic } from '../help-topic'

export const conflict: HelpTopic = {
  key: 'conflict',
  title: 'Changed in another window',
  lines: [
    {
      text: 'The same foot was saved from another window or another device after this one read it. Neither is lost.',
    },
    { text: 'Save mine: what stands here becomes the newest, foot and shoe in one go.' },
    { text: 'Take theirs: what was saved there comes onto the Bench. Undo brings yours back.' },
    { text: 'Decide later: yours stays in this browser, and the question comes again when you save.' },
  ],
}
