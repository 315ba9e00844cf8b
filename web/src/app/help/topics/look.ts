import type { HelpTopic } from '../help-topic'
import { made, word } from './kit'

export const look: HelpTopic = {
  key: 'look',
  title: 'Look',
  lines: [
    {
      text: 'Look before you pull the shoe. Touch the drawing where you find something: wall, sole, frog, bulbs. Pick what it is and how bad; touch it again to change it.',
      picture: word('quarter'),
    },
    {
      text: 'What the visits before left open is asked one by one: better, same, worse or gone. What nobody answers is asked again at the next.',
    },
    {
      text: 'On the left: how the horse stands and moves, its work and going, the vet’s word, the old shoe and the foot before the trim. Say only what you know.',
      picture: word('axis'),
    },
    {
      text: 'Advice follows from what was found, at the right. Accept it and it is put on the shoe; you are told before and after what changes. Or do something else, and write down what.',
      picture: made('heart-bar'),
    },
    {
      text: 'What you agreed is asked again next time, one by one: did it get better? Two worse running, and that advice stands behind other ways and says so.',
    },
    {
      text: 'What calls for the vet stops the work until you have read it and written down whom you spoke to.',
    },
  ],
}
