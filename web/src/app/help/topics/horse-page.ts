import type { HelpTopic } from '../help-topic'
import { PLAIN } from './kit'

export const horsePage: HelpTopic = {
  key: 'horse-page',
  title: 'A horse',
  lines: [
    { text: 'Its four feet with what each wears now, and the visits, newest first.' },
    {
      text: 'The library holds every pattern of every foot. Open one on the Bench, or look at its earlier versions and bring one back: it comes back as a new version, nothing is lost.',
      picture: PLAIN,
    },
    {
      text: 'Courses are plans over weeks, calls are what you promised: both stand on the Round too. What to expect says when its shoes are through and when it should be seen.',
    },
    {
      text: 'The charts draw the measures over the years. A line of change is only drawn where the figures carry it; otherwise it says what is missing.',
    },
  ],
}
