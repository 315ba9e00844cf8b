import type { HelpTopic } from '../help-topic'

export const photographs: HelpTopic = {
  key: 'photographs',
  title: 'Photographs of the foot',
  lines: [
    {
      text: 'Say what it shows, then take it or choose it: it is kept with this visit at once, turned upright, without what the camera wrote of place and owner. Nothing leaves this machine.',
    },
    {
      text: 'Tap a picture to draw on it: a line, a second one for the angle between, or a length that you know, which gives lengths to the others. An angle holds where the camera looked straight at what it is of.',
    },
    {
      text: 'Two of one kind are laid over each other and faded, or stand side by side. Soles by their places and to scale; others by the same line drawn on both, and to scale where both have a length that is known.',
    },
    {
      text: 'Soles photographed with the scale card for their outline stay here by themselves, seen from straight above; so do shoes, and tracks from which a slide shoe was turned.',
    },
    {
      text: 'A picture can be erased for good. In the settings all pictures older than some years can be made smaller: what is drawn on them stays.',
    },
  ],
}
