import type { RequestProblem } from '../../http/door'

/** The lists of a library, and what one entry of each is called. */
const ONE: Record<string, string> = {
  owners: 'owner',
  horses: 'horse',
  visits: 'visit',
  patterns: 'pattern',
  patternVersions: 'version of a pattern',
  footRecords: 'foot',
  looks: 'look',
  sizes: 'size',
  tries: 'try',
  jobs: 'job',
  courses: 'course',
  calls: 'call',
  pictures: 'picture',
  workshop: 'workshop',
}

/** Told in full; the rest are counted. */
const TOLD = 4

/** What is wrong with a library file, as somebody reads it who never saw the inside of one. */
export function libraryInWords(problems: readonly RequestProblem[]): RequestProblem[] {
  const strange = problems.filter(({ path }) => path === 'format' || path === '')
  if (strange.length > 0) {
    const message = 'This file is no library of Crescent. A library is the file that “Library out” writes.'
    return [{ path: 'format', message }]
  }
  if (problems.some(({ path }) => path === 'formatVersion')) {
    const message =
      'This library was written by another, newer Crescent. Bring it in there, or update this one.'
    return [{ path: 'formatVersion', message }]
  }
  const told = problems
    .slice(0, TOLD)
    .map(({ path, message }) => ({ path, message: sentence(path, message) }))
  const more = problems.length - TOLD
  return more > 0 ? [...told, { path: '', message: `And ${more} more like these.` }] : told
}

function sentence(path: string, message: string): string {
  const [list = '', at, ...field] = path.split('.')
  const one = ONE[list]
  if (!one) return `The file holds something Crescent does not know (${list || message}).`
  if (at === undefined) return `The list of ${list} is missing or damaged.`
  const what =
    field.length > 0
      ? `, ${field
          .join(' ')
          .replace(/([a-z])([A-Z])/g, '$1 $2')
          .toLowerCase()}`
      : ''
  return `The ${ordinal(Number(at) + 1)} ${one}${what}: ${plain(message)}.`
}

/** A schema's fault without its jargon. */
function plain(message: string): string {
  if (/received undefined/.test(message)) return 'is missing'
  if (/^Invalid (input|option)/.test(message)) return 'is not what belongs there'
  if (/^Unrecognized key/.test(message)) return 'holds something Crescent does not know'
  if (/^Invalid/.test(message)) return 'cannot be read'
  return message.replace(/\.$/, '')
}

const ordinal = (n: number): string => {
  const tens = n % 100
  const end = tens > 10 && tens < 14 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th')
  return `${n}${end}`
}
