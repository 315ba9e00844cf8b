/** Of patterns looked for among all horses so many are answered at most. */
export const PATTERNS_FOUND = 30
