import { barBetweenHeels, barHandles, BAR_FIELDS, proudCautions } from './heel-bar'
import { modificationOf } from './modification'

/** A bar welded between the heels. */
export const straightBar = modificationOf({
  kind: 'straight-bar',
  ofMetal: true,
  group: 'heels',
  label: 'Straight bar',
  purpose: 'Joins the heels: they cannot spread apart or sink one by one.',
  brings: ['bar'],
  fields: BAR_FIELDS,
  excludes: {
    'egg-bar': 'A shoe is closed by one bar: straight or egg',
    'heart-bar': 'The heart bar brings its own bar between the heels',
  },
  refuse: (context, { width, thickness }) =>
    barBetweenHeels(context, '', width, thickness)
      ? undefined
      : 'the branches leave no room for a bar this wide',
  parts: (context, { width, thickness }) => [barBetweenHeels(context, 'Straight bar', width, thickness)!],
  handles: (context, values) => barHandles(context, values),
  forging: () => [
    { stage: 'weld', text: 'Bevel bar and heels, lay the bar between them and weld; level again.' },
  ],
  tell: () => ['Bevel both ends of the bar and the heels for the weld.'],
  cautions: (context, values) => [
    ...proudCautions(context, values.thickness),
    {
      code: 'bar-shoe',
      severity: 'note',
      title: 'Bar shoe',
      text: 'A bar that does not lie level bears on frog or bulbs. Mud is held behind it.',
      action: 'Never hot-seat a bar shoe that does not fit. Leave room between bar and frog.',
    },
  ],
})
