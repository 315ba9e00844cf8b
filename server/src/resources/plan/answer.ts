import * as z from 'zod'
import { HALVES } from '@crescent/core'
import { TEMPLATE_KINDS } from '@crescent/core/formats'
import {
  footSchema,
  keepClearSchema,
  nailLimitSchema,
  sectionSchema,
  SECTION_SHAPES,
} from '@crescent/core/records/index'
import { toldSchema } from '../told-schema'

// What a plan answers, for the description: the test of it reads real plans strictly, so nothing is left out.
const mm = z.number()
const point = z.tuple([mm, mm]).describe('in the foot’s frame, mm: across, and forward from the widest part')
const line = z.array(point)
const branch = z.enum(HALVES)
const degrees = z.number().describe('from the ground')
const object = <S extends z.ZodRawShape>(shape: S) => z.object(shape).strict()

const cautionSchema = object({
  code: z.string(),
  severity: z.enum(['note', 'caution', 'stop']),
  title: toldSchema,
  text: toldSchema.describe('what may happen'),
  action: toldSchema.describe('what to do'),
})

const landmarksSchema = object({
  ...{ toe: point, lateralWidest: point, medialWidest: point, lateralButtress: point, medialButtress: point },
  ...{ frogApex: point, frog: line, centralSulcus: line, bars: z.array(line), bulbs: line, bulbY: mm },
  whiteLineOuter: line,
  whiteLineInner: line.describe('inside it everything is alive'),
  tip: point.optional().describe('of the coffin bone, where it is known'),
})

const estimate = object({ way: z.string(), label: z.string(), fromToe: mm })
const widestSchema = object({
  estimates: z.array(estimate),
  agreed: mm.optional().describe('from the toe back; none where no two agree'),
  confidence: z.number().optional(),
  odd: estimate.optional().describe('stands off from two that agree'),
  verdict: z.string(),
})

const schoolSchema = object({
  ...{
    key: z.string(),
    label: z.string(),
    rule: toldSchema,
    use: z.string(),
    vetLeads: z.boolean().optional(),
  },
  answer: z.union([
    object({
      found: z.literal(true),
      y: mm.describe('the foremost place it allows'),
      rearY: mm.optional(),
      used: z.array(z.string()),
      note: toldSchema.optional(),
    }),
    object({ found: z.literal(false), lacks: z.array(toldSchema) }),
  ]),
  lever: mm.optional(),
  ratio: z.number().optional(),
})

const balanceSchema = object({
  breakover: object({
    schools: z.array(schoolSchema),
    inUse: z.string(),
    y: mm.optional().describe('by the school in use; none where it lacks something'),
  }),
  ahead: mm.describe('bearing ahead of the widest part, read from the made shoe'),
  behind: mm,
  ratio: z.number(),
  toeLever: mm,
  leverSaved: mm.describe('against the bare trimmed toe'),
  aheadOfSchool: mm.optional(),
  heels: z.array(object({ branch, behindButtress: mm, shortOfBulbs: mm, shortOfPlumb: mm.optional() })),
  raised: degrees.describe('by which the made shoe raises the heels on a hard floor'),
  hoofPastern: object({ broken: degrees, verdict: z.string() }).optional(),
})

const bevel = z.tuple([mm, mm]).describe('across and down, mm')
const cutSchema = object({
  place: object({
    branch,
    share: z.number().describe('0 at the middle of the toe, 1 at the end of the branch'),
    ...{
      fromToe: mm,
      fromHeel: mm,
      point,
      s: mm,
      web: mm,
      middle: point,
      tangent: z.tuple([z.number(), z.number()]),
    },
    bend: z.number().describe('radians for a millimetre'),
    square: z.number().describe('how much of the path of the section’s middle runs square through it'),
  }),
  form: object({
    ...{ shape: z.enum(SECTION_SHAPES), width: mm, thickness: mm },
    ...{ outerGround: bevel, innerGround: bevel, outerFoot: bevel, innerFoot: bevel },
    crease: object({ from: mm, width: mm, depth: mm }).optional(),
    bend: object({ from: mm, slope: z.number(), of: z.enum(['section', 'ground']) }).optional(),
    setOn: mm.optional().describe('of its height, a piece that is set on the bar'),
  }),
})

const sweptSchema = z.discriminatedUnion('as', [
  object({ as: z.literal('bar'), line, section: sectionSchema, heights: z.array(mm) }),
  object({ as: z.literal('rod'), line, across: mm, middle: mm.describe('above the ground') }),
  object({ as: z.literal('half-round'), line, side: z.number(), width: mm, height: mm }),
])

const partSchema = object({
  label: z.string(),
  layer: z.enum(['bar', 'clip', 'plate', 'pad', 'fitting', 'dressed']),
  face: z.enum(['ground', 'foot']).optional(),
  edge: line.describe('closed'),
  spare: z.boolean().optional().describe('made with the shoe and not in it'),
  volume: z.number().describe('mm3 added to the shoe'),
  between: z.tuple([mm, mm]).optional().describe('underside and top above the ground'),
  taper: z.tuple([mm, mm]).optional(),
  pierced: z.array(line).optional().describe('what stands in it and fills it'),
  swept: sweptSchema.optional().describe('a section carried along a line, where it is no upright block'),
  tongue: object({ station: mm, width: mm, height: mm, thickness: mm, lean: degrees }).optional(),
  density: z.number().optional().describe('kg/m3'),
  join: object({ outline: line.optional(), welds: z.array(line) }).optional(),
  ofTheBar: mm.optional().describe('bar that it takes on beyond the heels'),
  turned: object({ length: mm, run: line }).optional().describe('how that lies once it is turned'),
  stock: object({ width: mm, thickness: mm, length: mm, count: z.number().optional() }).optional(),
  template: object({
    kind: z.enum(TEMPLATE_KINDS),
    edge: line.optional(),
    holes: z.array(object({ at: point, diameter: mm.optional() })).optional(),
  }).optional(),
})

const modificationSchema = object({
  kind: z.string(),
  values: z.record(z.string(), z.union([z.number(), z.string()])),
  ranges: z.record(z.string(), z.tuple([z.number(), z.number()])).describe('possible for each figure here'),
  told: z.array(toldSchema),
  handles: z.array(
    object({
      field: z.string(),
      point,
      along: point,
      per: z.number().optional(),
      view: z.literal('side').optional(),
    }),
  ),
  guides: z.array(object({ label: z.string(), line })),
  course: z.array(object({ label: z.string(), fromDay: z.number(), toDay: z.number() })),
  drilled: z.array(object({ what: z.string(), drill: mm, count: z.number(), tap: z.string().optional() })),
})

const forgingStep = { stage: z.string(), text: toldSchema, branch: branch.optional() }

const ironSchema = object({
  cutLength: mm,
  learned: mm.describe('of the cut, from logged jobs'),
  centrelineLength: mm,
  volume: z.number().describe('of the bar, mm3'),
  weight: z.number().describe('of the whole shoe, g'),
  closing: mm.describe('bar that closes the shoe behind the heels, within the cut'),
  branches: object({ lateral: mm, medial: mm }).describe('toe mark to end'),
  parts: z.array(
    object({
      label: z.string(),
      count: z.number().optional(),
      width: mm,
      thickness: mm,
      length: mm,
      weight: z.number(),
    }),
  ),
  plainCut: mm,
  rules: z.array(object({ name: z.string(), length: mm, difference: mm })),
  openBy: mm.optional().describe('a factory shoe: wider than in the box at its widest; minus closes'),
  size: z.string().optional().describe('its name'),
  heelLeft: object({ lateral: mm, medial: mm }).optional().describe('beyond where the fit ends; minus short'),
  heelToCut: object({ lateral: mm, medial: mm }).optional(),
  asSold: object({ width: mm, heelsOutside: mm, heelsMiddle: mm, toeToHeels: mm }).optional(),
  marks: z.array(
    object({ kind: z.string(), label: z.string(), branch: branch.nullable(), fromMiddle: mm, fromEnd: mm }),
  ),
  heats: z
    .array(
      object({
        ...forgingStep,
        shape: line.describe('the middle of the web when it is done, from the lateral to the medial end'),
        straight: z.boolean(),
        measures: z.array(
          object({
            ...{ what: z.string(), value: mm },
            between: z.tuple([point, point]).describe('from where to where the rule is laid'),
          }),
        ),
        marks: z.array(object({ label: z.string(), at: point })),
      }),
    )
    .describe('the order of the work, with the shape after each step'),
})

const standingLimit = nailLimitSchema.extend({
  overruled: z.string().optional().describe('with what reason'),
})

const nailSchema = object({
  ...{ branch, number: z.number().int(), x: mm, y: mm, fromToe: mm, inset: mm, insideWall: mm },
  ...{ footStation: mm, behindWall: mm, alongWall: mm, wallThickness: mm, driven: z.boolean() },
  heldByWeb: z.boolean().describe('the web could not carry the hole where the wall wants it'),
  beyond: z.enum(['forward', 'rear']).optional().describe('the limit of the school in use'),
  ...{ lean: degrees, wallAngle: degrees, throughPad: mm, exitHeight: mm, exit: point, deepest: mm },
  ruledOut: standingLimit.optional().describe('what lets no nail be driven here'),
  verdict: z.string(),
  why: toldSchema,
  seen: mm.optional().describe('how high it came out'),
})

const nailSize = object({ name: z.string(), length: mm, shank: mm, head: mm })
const nailingSchema = object({
  school: z.string(),
  limits: z.array(standingLimit).optional(),
  need: object({ length: mm, shank: mm }).optional(),
  suggested: nailSize.optional(),
  size: nailSize.optional(),
  unknownSize: z.string().optional(),
  padding: mm,
  exits: object({ low: mm, high: mm }).optional(),
})

const mouldedSchema = object({
  sold: line.describe('as it comes from the box, laid on the foot: closed'),
  saw: z.array(line).describe('where the saw goes'),
  crease: z.array(line).describe('its outer and its inner edge'),
  deepest: mm.describe('most that is sawn off outside'),
  standsOut: mm.describe('what the crease forbids to saw off'),
  insideWall: mm,
  onSole: object({ least: mm, most: mm }).describe(
    'sole covered inside the white line; minus leaves it free',
  ),
  drilled: z.array(
    object({
      ...{ branch, number: z.number().int(), fromToe: mm },
      inset: mm.describe('from the trimmed rim, on the ground face'),
      insetAbove: mm.describe('on the foot face'),
      lean: degrees,
      leansMore: z.number().describe('less upright than the wall stands there, degrees'),
    }),
  ),
  clipSeats: z.array(object({ label: z.string(), at: point, depth: mm })),
  words: z.array(toldSchema),
}).describe('a factory shoe that cannot be bent')

const rule = object({ value: mm, between: z.tuple([point, point]) })

/** What `POST /plan` answers. */
export const planAnswerSchema = object({
  foot: footSchema.describe('with its defaults'),
  assumed: z.array(z.string()).describe('figures that stand at their defaults'),
  section: sectionSchema,
  fit: object({
    name: z.string().optional(),
    ...{ spread: mm, heelLength: mm, toeSetBack: mm, behind: z.string() },
  }),
  outline: object({
    ...{ foot: line, outer: line, inner: line, centreline: line },
    body: line.describe('the shoe, closed'),
    whole: z.array(line).describe('with every bar that is one with it: closed lines, holes among them'),
  }),
  landmarks: landmarksSchema,
  widest: widestSchema,
  balance: balanceSchema,
  heels: object({ outside: mm, middleOfWeb: mm }).describe('across the heel ends'),
  measures: object({ width: rule, heelsOutside: rule, heelsMiddle: rule, length: rule }).describe(
    'what the finished shoe is compared by, and where the rule lies',
  ),
  profile: object({
    ...{ s: z.array(mm), width: z.array(mm), thickness: z.array(mm) },
    ...{ area: z.array(z.number()), finished: z.array(z.number()) },
  }),
  cuts: z.array(cutSchema).describe('the finished section at each place, from heel to heel'),
  parts: z.array(partSchema),
  modifications: z.array(modificationSchema),
  forging: z.array(object(forgingStep)),
  iron: ironSchema,
  suggestion: object({ section: sectionSchema, name: z.string(), use: z.string(), reason: toldSchema }),
  nails: z.array(nailSchema),
  nailing: nailingSchema,
  keepClear: z.array(keepClearSchema.extend({ from: mm, to: mm, line })),
  cautions: z.array(cautionSchema),
  moulded: mouldedSchema.optional(),
})
