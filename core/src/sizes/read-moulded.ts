import { drilledHoles } from '../nails/drilled'
import { placeHoles } from '../nails/holes'
import { judgeNails } from '../nails/nails'
import type { SizeFacts } from '../records/size'
import { soldReach, soldWidth } from '../shoe/as-sold'
import { plainLay } from '../shoe/lay'
import { layMoulded } from '../shoe/moulded/lay-moulded'
import { layRims } from '../shoe/rims'
import { toCut } from '../shoe/to-cut'
import { onceAsked } from '../geometry/when-asked'
import { resolveWorkshop } from '../workshop/workshop'
import type { LaidFoot } from './laid-foot'
import type { SizeOnFoot } from './read-size'

/**
 * How a size that cannot be bent lies on one foot, read off its width and length in the box: its toe at the toe, its
 * heels where it ends. The plan, which lays and turns it, agrees within a few millimetres at the heels.
 */
export function mouldedOnFoot(laid: LaidFoot, facts: SizeFacts): SizeOnFoot {
  const { foot, fit, outline } = laid
  const behind = soldReach(facts) - foot.length
  const left = behind - fit.heelLength
  const alike = (value: number) => ({ lateral: value, medial: value })
  const nails = onceAsked(() => {
    const asWanted = plainLay(fit, foot, outline, facts.web)
    const { lay } = layMoulded(facts, {}, { foot, fit, outline, asWanted })
    const plan = drilledHoles(undefined, foot.width)
    const holes = placeHoles(foot, outline, layRims(outline, lay, 0.5), plan)
    return judgeNails(foot, outline, holes, plan, WORKSHOP)
  })
  return {
    facts,
    openBy: laid.along(facts.web).width - soldWidth(facts),
    heelLeft: alike(left),
    heelToCut: alike(toCut(left)),
    heelBehind: alike(behind),
    shortOfBulbs: alike(foot.bulbLine - behind),
    verdicts: (branch) =>
      nails()
        .filter((nail) => nail.branch === branch)
        .map(({ verdict }) => verdict),
    nails,
  }
}

const WORKSHOP = resolveWorkshop({})
