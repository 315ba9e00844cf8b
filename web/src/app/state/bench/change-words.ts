import { FIT_FIGURES, FOOT_FIGURES, modification } from '@crescent/core'

/** Changes that are made to no figure of their own. */
const WORDS: Record<string, string> = {
  animal: 'kind of animal',
  heelMeasure: 'how the heels are measured',
  tipBy: 'how the tip was found',
  school: 'school of breakover',
  trace: 'the traced outline',
  keepClear: 'what nails keep clear of',
  limits: 'limits of the nails',
  copy: 'copying the last visit',
  mirror: 'mirroring the other foot',
  pattern: 'taking up a pattern',
  discard: 'going back to what is saved',
  theirs: 'taking the other window’s',
  size: 'factory size',
  section: 'bar',
  advice: 'what was agreed',
  fit: 'fit',
  nails: 'nails',
  modifications: 'modifications',
  'section.width': 'width of the bar',
  'section.thickness': 'thickness of the bar',
}

/** What a change was made to, in words: `width`, `wedge, rise at the heels`, `outer hole 2`. */
export function changeWords(what: string): string {
  const known = WORDS[what] ?? FOOT_FIGURES.find(({ key }) => key === what)?.label.toLowerCase()
  if (known) return known
  const [kind = '', name = '', key = ''] = what.split('.')
  if (kind === 'anvil') return 'the shape on the anvil'
  if (kind === 'fit') return FIT_FIGURES.find((figure) => figure.key === name)?.label.toLowerCase() ?? 'fit'
  if (kind === 'template') return 'beginning from a design'
  if (kind === 'mod') {
    const found = modification(name)
    const field = found?.fields.find((one) => one.key === key)
    return [found?.label ?? 'modification', field?.label].filter(Boolean).join(', ').toLowerCase()
  }
  if (kind === 'nails' && (name === 'lateral' || name === 'medial')) {
    const branch = name === 'lateral' ? 'outer' : 'inner'
    return Number(key) > 0 ? `${branch} hole ${key}` : `${branch} holes`
  }
  return 'nails'
}
