import type { HelpTopic } from '../help-topic'
import { made } from './kit'

export const course: HelpTopic = {
  key: 'course',
  title: 'A course over weeks',
  lines: [
    {
      text: 'A plan for one foot: what is done on which day, by farrier, owner or vet, what is measured, and what would stop it. An expander’s bars, for one: each a little longer, 7 to 10 days apart.',
      picture: made('hinged-expander'),
    },
    {
      text: 'It is begun from the shoe, from advice that was agreed, or here on the horse’s page. Its steps stand on the Round, with the horse, at the Bench and in the calendar; a late one stands out until it is done, left out or put off.',
    },
    {
      text: 'Say any step in your own words, put it on another day, or add steps of your own. Where steps go in turn, one that was late puts off those behind it.',
    },
    {
      text: 'At the next visit what should have come is asked one by one: better, the same, worse. Twice worse running and it says to stop and agree with the vet.',
    },
    {
      text: 'Pain stops it at once, with the reason: nothing is asked any more. You can go on with it after all.',
    },
    {
      text: 'The list for the owner prints in plain words: what to do daily, what comes when, what pain looks like, whom to call.',
    },
  ],
}
