import type { HelpTopic } from '../help-topic'

export const radiograph: HelpTopic = {
  key: 'radiograph',
  title: 'From a radiograph',
  lines: [
    {
      text: 'A lateral: taken from the side, both feet level on blocks, the beam along the ground, a marker of known length in the plane of the foot. The vet takes it, and reads it; what stands here is what is talked over.',
    },
    {
      text: 'First say how large it is. A marker counts before whatever the file says. Of the detector’s own pixels alone all lengths come out too long, because the foot stands before the detector. Without a scale there are angles, and no lengths.',
    },
    {
      text: 'Then mark what is asked for, one place after the other. The dashed ring is a proposal from what is marked already; it counts only once you have pulled it or tapped. “Not to be seen” passes a place over.',
    },
    {
      text: 'The magnifier shows what is under the finger. Tab goes from place to place, arrows move one, with shift further, Delete takes it away, Undo takes back.',
    },
    {
      text: 'What is usual is told from memory, for an ordinary riding horse. The other foot, and the same foot before, count for more. ± says what half a millimetre of error at each place makes of a figure: a difference smaller than that is none.',
    },
    {
      text: 'When you are done it is kept with the visit as it is shown, with its places and its scale, and nothing of what the file says of patient and owner unless you tick it. Radiographs of this foot stand side by side below, with what has changed since the first.',
    },
    {
      text: 'The plan takes what the sole allows and lets the shoe bring the rest. The rasp stops at the sole’s own mark, whatever the picture says. It goes to the shoe only with what was agreed with the vet, which is kept with the visit.',
    },
  ],
}
