import type { CautionRule } from './context'

/** Modifications that may stand together but ask for a second thought. */
export const togetherCautions: CautionRule = ({ together }) =>
  together.map(({ title, text }) => ({
    code: 'together',
    severity: 'caution',
    title,
    text,
    action: 'Keep the one that is needed, or say why both are.',
  }))
