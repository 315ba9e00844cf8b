import type { HelpTopic } from '../help-topic'
import { word } from './kit'

export const tryOn: HelpTopic = {
  key: 'try',
  title: 'Try',
  lines: [
    {
      text: 'What to bend so that the shoe on the anvil becomes its pattern. Measure it with the tape before you walk: width, heels, length. Or say where it was tight or wide when you held it to the foot.',
    },
    {
      text: 'The plan has the fewest bends that bring it within a sixteenth, from the toe back: a bend moves everything behind it and nothing ahead of it. Step through them and see the shape after each.',
    },
    {
      text: 'To open, the outer edge rests on the horn just ahead of the place, with daylight beneath what must give, and the inner edge is struck just beyond. To close, the other way round.',
      picture: word('web'),
    },
    {
      text: 'Where no bend helps the plan says so: the wrong size, or the wrong cut. Sight along the shoe both ways for level before it is tried again: twist first, a twisted shoe looks cupped.',
    },
    {
      text: 'With the shoe on the foot, or on its first two nails, measure room at both heels, heel to bulb on both sides, and the toe against the line of the frog: what is right and what is not stands beside it. Two nails, then the same again.',
    },
    {
      text: 'Log each try: walks, heats, minutes, and the bends you ticked as made. In Usual corrections you see which bends come again, how far off your first shapes usually are on either branch, and what a shoe takes.',
    },
    {
      text: 'A factory shoe can be planned from the box: the first shaping, before it was measured.',
    },
    {
      text: 'Hot: seat clips first, then the shoe, no more than 15 seconds in any 30: the timer counts both, seen and heard. Tap in Contact what it left, place by place. An even brown line is a flat shoe on a flat foot. Keep hay and straw away from it; some horses fear the smoke.',
    },
  ],
}
