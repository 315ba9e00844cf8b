import type { NailLimitRule } from '../terms/nail-limits'

/** Sentences and lines of a text. */
const sentences = (text: string): string[] =>
  text
    .split(/[\n;.!?]+/)
    .map((one) => one.trim())
    .filter((one) => one !== '')

const FORBIDS =
  /\b(no|not|never|without|none|nothing|don['’]?t|do not|avoid|leave out|keep .* (clear|free|off)|only|stay behind)\b/
const AHEAD =
  /\b(ahead|in front|forward|front|toes?|before the widest|dorsal)\b|\bbehind (the )?(widest|bend|quarter)|\b(heels?|back half|rear half) only\b|\bonly (in|at|behind|through) (the )?(heels?|back|rear|widest|quarters)\b/

/**
 * What a limit written in the vet's own words says of nails, as far as it can be read for certain. A limit that speaks of
 * nails in another way, or of something else, stays words: it is told wherever the shoe is worked on.
 */
export function limitsInWords(text: string): { rule: NailLimitRule; why: string }[] {
  const all = sentences(text)
  return all.map((sentence) => ({ rule: ruleIn(sentence.toLowerCase()), why: sentence }))
}

function ruleIn(sentence: string): NailLimitRule {
  if (!/\bnail(s|ed|ing)?\b/.test(sentence) || !FORBIDS.test(sentence)) return 'words'
  if (AHEAD.test(sentence)) return 'behind the widest part'
  return /^(there (shall|must) be )?(no|without|never|not)( any)?( more)? nail(s|ed|ing)?( at all| in (it|this foot)| here)?( for now| yet| until .*)?$/.test(
    sentence,
  )
    ? 'no nails'
    : 'words'
}
