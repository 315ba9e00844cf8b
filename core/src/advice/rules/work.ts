import { COMMON, type AdviceRule } from '../advice'

/** What the horse's work asks for. */
export const work: readonly AdviceRule[] = [
  {
    code: 'jumping-fit',
    topic: 'fit',
    title: 'Generous length: supportive fit',
    school: 'long heels for jumping',
    against: 'A hind foot that reaches steps it off.',
    brings: ['long heels'],
    change: { fit: 'supportive' },
    signs: [{ key: 'stays-on', asks: 'Shoe stays on' }],
    reason: ({ look }) =>
      look.ways.work === 'jumping' ? 'A jumper lands on its heels and needs them carried.' : undefined,
  },
  {
    code: 'racing-fit',
    topic: 'fit',
    title: 'Flush fit',
    school: 'flush for racing',
    against: 'No room to spread: short cycles only.',
    brings: ['light shoe'],
    avoids: ['long heels', 'wide fit', 'heavy shoe'],
    change: { fit: 'flush' },
    reason: ({ look }) =>
      look.ways.work === 'racing' ? 'At speed nothing may stand out to be stepped on.' : undefined,
  },
  {
    code: 'sliding-fit',
    topic: 'shoe',
    title: 'Slide shoe, 1 x 5/16',
    school: 'slide',
    against: 'Only where it slides; branches no longer than the other foot allows.',
    brings: ['long heels'],
    avoids: ['grip'],
    change: { fit: 'slide', modification: 'slide-shoe' },
    signs: [{ key: 'slides-straight', asks: 'Slides straight, both tracks alike' }],
    reason: ({ look, side }) =>
      look.ways.work === 'sliding and turning' && side.endsWith('H')
        ? 'The hind feet slide to a stop.'
        : undefined,
  },
  {
    code: 'road-wear',
    topic: 'modification',
    title: 'Hard-facing at toe and heels',
    school: 'long wear',
    against: 'Less slip means more twist in the joints; welding fume needs air.',
    brings: ['heavy shoe', 'long cycle'],
    change: { modification: 'hard-facing' },
    signs: [{ key: 'wears-slower', asks: 'Wears slower' }],
    reason: ({ look }) =>
      look.ways.work === 'driving on roads' || look.ways.going === 'road'
        ? 'Roads wear a plain shoe out in weeks.'
        : undefined,
  },
  {
    code: 'road-grip',
    topic: 'modification',
    title: 'Studs or pins for hold',
    school: 'hold fast',
    against: 'What stops a twist loads the joints; others let the foot slip a little.',
    brings: ['grip'],
    change: { modification: 'studs' },
    signs: [{ key: 'holds', asks: 'Holds on the road' }],
    reason: ({ look }) =>
      look.ways.work === 'driving on roads' ? 'Smooth roads are slippery under draught.' : undefined,
  },
  {
    code: 'rest-joints',
    topic: 'modification',
    title: 'No traction: let the foot slip and turn',
    school: 'spare the joints',
    against: 'A fall on a smooth road is worse.',
    avoids: ['grip'],
    reason: ({ look }) =>
      look.ways.work === 'driving on roads' || look.ways.work === 'retired'
        ? 'A foot held fast passes each twist on to the joints.'
        : undefined,
  },
  {
    code: 'hauling-bar',
    topic: 'shoe',
    title: 'Stout bar, eight nails',
    school: COMMON,
    against: 'Each nail weakens the wall.',
    brings: ['heavy shoe', 'many nails'],
    // A trailer gives up the last outer hole.
    avoids: ['trailer'],
    change: { driven: { lateral: [1, 2, 3, 4], medial: [1, 2, 3, 4] } },
    reason: ({ look }) =>
      look.ways.work === 'hauling' ? 'Draught pulls shoes off and wears the toe.' : undefined,
  },
]
