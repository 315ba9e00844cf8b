import type { HelpTopic } from '../help-topic'
import type { CardShown } from '../card-picture'
import type { HelpPicture } from '../help-picture'
import { word } from './kit'

const card = (shows: CardShown): HelpPicture => ({ view: 'card', shows })

export const photographed: HelpTopic = {
  key: 'photographed',
  title: 'From a photograph',
  lines: [
    {
      text: 'Print the scale card at 100 %, measure its long line with a rule once and type what it is. Lay the card beside the foot, level with the sole; or the sheet with the opening round the foot. If the sole lies nearer to the camera than the card, say by how much: unsaid, what is nearer is seen larger, and half the height is added to the width of the foot.',
      pictures: [card('beside'), card('level'), card('lower')],
    },
    {
      text: 'Hold the camera straight above, a good arm’s length away. All four marks and the whole foot must be in the picture, sharp, without a shadow across the edge.',
      pictures: [card('above'), card('askew'), card('shadow')],
    },
    {
      text: 'Tap seven places: toe, both toe quarters, both widest places, both heels. Near them is near enough: the edge is then followed by colour, and by how this foot ran at its last visit. Where it is doubtful it is dotted: tap the edge once there where it is wrong, and it is followed anew. A wall of the colour of the ground may not be found at all.',
      picture: word('buttress'),
    },
    {
      text: 'Pull the line where it is wrong; a tap puts in one more knot, Delete takes one away, Undo takes back. A photograph whose outline was not taken stays in this browser with all that was tapped, and is offered again for the same foot at the same visit. The marks’ own error says that card and picture are sound, not that the foot lay level with the card.',
    },
    {
      text: 'Of a shoe on the anvil the seven places are tapped along the middle of its web. Both rims are followed; the line between them is the shape, written down in Try as points. Whichever face was up, it is laid as on the foot.',
    },
    {
      text: 'Of a sole three more places can be tapped: the true apex of the frog, where the bars end, and where the widest arc lies. They become figures of the foot. The photograph stays with the visit as from straight above, so that soles of other visits can be laid over it.',
    },
    {
      text: 'Without a card a length that you know in the picture gives the scale. That is rougher: nothing tells how askew the camera looked.',
    },
  ],
}
