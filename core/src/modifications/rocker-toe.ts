import { bentAhead, breakoverField, dressedToe, lineHandle, mostAhead } from './bend-line'
import { fieldsOf, modificationOf } from './modification'

const fields = fieldsOf([
  breakoverField,
  {
    key: 'rise',
    label: 'Rise at the toe',
    kind: 'length',
    where: 'How high the foremost edge stands off level ground.',
    range: ({ section }) => [1, section.thickness + 8],
    fallback: ({ section }) => section.thickness * 0.6,
  },
])

/** The toe bent up from the breakover forward; the foot is dressed to it. */
export const rockerToe = modificationOf({
  kind: 'rocker-toe',
  group: 'toe',
  label: 'Rocker toe',
  purpose: 'Bent up from the breakover forward: the foot rolls off with less pull on the heels.',
  fields,
  // Bent, not taken away: everything ahead of the line stands higher, over the whole width of the web.
  rasp: (form, place, context, { rise, behindToe }) => {
    const line = context.foot.widestFromToe - behindToe
    // The foremost edge stands as high as was asked, wherever the shoe's toe lies before the foot's.
    const bend = bentAhead(place, line, rise / mostAhead(context, line), 'section')
    return bend ? { ...form, bend } : form
  },
  parts: (context, values) => [dressedToe(context, 'Rocker toe', values.behindToe)],
  handles: (context, values) => [
    ...lineHandle(context, values),
    { field: 'rise', point: [context.foot.widestFromToe, values.rise], along: [0, 1], view: 'side' },
  ],
  forging: () => [
    {
      stage: 'heels',
      text: 'Bend the toe up last, over the breakover line, and rasp a seat for it on the foot.',
    },
  ],
  tell: (_context, values) => {
    const angle = (Math.atan2(values.rise, values.behindToe) * 180) / Math.PI
    return values.behindToe > 0 ? [`The toe rises at ${angle.toFixed(0)}° from the breakover.`] : []
  },
  cautions: ({ foot }, values) =>
    values.rise > foot.toeWallThickness
      ? [
          {
            code: 'rocker-high',
            severity: 'caution',
            title: 'High rocker',
            text: 'To seat a toe bent up this far the wall ahead of the breakover is dressed off; sole may be laid bare.',
            action: 'Bend it up less, or begin it further back. Never cut below the sole plane.',
          },
        ]
      : [],
})
