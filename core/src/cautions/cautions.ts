import type { Caution, Severity } from '../notices/caution'
import { balanceCautions } from './balance-cautions'
import type { CautionContext, CautionRule } from './context'
import { coverCautions } from './cover-cautions'
import { fitCautions } from './fit-cautions'
import { footCautions } from './foot-cautions'
import { ironCautions } from './iron-cautions'
import { mouldedCautions } from './moulded-cautions'
import { nailCautions } from './nail-cautions'
import { nailFlightCautions } from './nail-flight-cautions'
import { nailLimitCautions } from './nail-limit-cautions'
import { sizeCautions } from './size-cautions'
import { togetherCautions } from './together-cautions'

/** Every rule; a new one is one file and one line here. */
const RULES: readonly CautionRule[] = [
  ({ chosen }) => [...chosen],
  togetherCautions,
  coverCautions,
  nailLimitCautions,
  nailFlightCautions,
  nailCautions,
  footCautions,
  balanceCautions,
  fitCautions,
  sizeCautions,
  mouldedCautions,
  ironCautions,
]

const RANK: Record<Severity, number> = { stop: 0, caution: 1, note: 2 }

/** All cautions of a plan, the gravest first. */
export const collectCautions = (context: CautionContext): Caution[] =>
  RULES.flatMap((rule) => rule(context)).sort((a, b) => RANK[a.severity] - RANK[b.severity])
