import { svgLength } from './svg-length'

/** What of an element tells how it looks. */
interface Styled {
  nodeName: string
  getAttribute: (name: string) => string | null
}

/** A rule of a style sheet that is minded here: for a kind of element, a class or one by its name. */
interface Rule {
  selector: string
  says: Readonly<Record<string, string>>
}

/** Selectors of one word; what is chosen in longer ones is not minded. */
const SIMPLE = /^([a-z]+|\.[\w-]+|#[\w-]+|\*)$/i

/** The rules of style sheets that are minded here. */
export function rulesOf(sheets: readonly string[]): Rule[] {
  return sheets.flatMap((sheet) =>
    [...sheet.replace(/\/\*[\s\S]*?\*\//g, '').matchAll(/([^{}]+)\{([^{}]*)\}/g)].flatMap(
      ([, selectors, body]) =>
        selectors!
          .split(',')
          .map((selector) => selector.trim())
          .filter((selector) => SIMPLE.test(selector))
          .map((selector) => ({ selector, says: declared(body!) })),
    ),
  )
}

function declared(text: string): Record<string, string> {
  const found: Record<string, string> = {}
  for (const part of text.split(';')) {
    const colon = part.indexOf(':')
    if (colon > 0)
      found[part.slice(0, colon).trim().toLowerCase()] = part
        .slice(colon + 1)
        .replace(/!important/i, '')
        .trim()
  }
  return found
}

/** How an element is turned and whether it is seen: by its attributes, then the rules, then its own style. */
export interface Style {
  transform: string
  display: string
  /** What it says itself; else it is as visible as what it lies in. */
  visibility: string
}

export function styleOf(element: Styled, rules: readonly Rule[]): Style {
  const name = element.nodeName.replace(/^.*:/, '')
  const classes = (element.getAttribute('class') ?? '').split(/\s+/)
  const id = element.getAttribute('id')
  const matches = ({ selector }: Rule) =>
    selector === '*' ||
    selector === name ||
    selector === `#${id}` ||
    (selector.startsWith('.') && classes.includes(selector.slice(1)))
  const weight = ({ selector }: Rule) => (selector.startsWith('#') ? 2 : selector.startsWith('.') ? 1 : 0)
  const by = rules.filter(matches).sort((a, b) => weight(a) - weight(b))
  const says = Object.assign(
    {},
    ...by.map((rule) => rule.says),
    declared(element.getAttribute('style') ?? ''),
  ) as Record<string, string>
  const own = (key: 'display' | 'visibility') => says[key] ?? element.getAttribute(key) ?? ''
  const turned = says['transform']
  return {
    transform:
      turned === undefined
        ? (element.getAttribute('transform') ?? '')
        : fromCss(turned, says['transform-origin']),
    display: own('display'),
    visibility: own('visibility'),
  }
}

/** Degrees in each unit of an angle. */
const DEGREES: Readonly<Record<string, number>> = { deg: 1, rad: 180 / Math.PI, grad: 0.9, turn: 360 }

/** A transform as a style sheet writes it, as an attribute has it: angles in degrees, lengths in pixels (CSS Transforms 1). */
function fromCss(text: string, origin: string | undefined): string {
  if (text === 'none') return ''
  const turns = [...text.matchAll(/([a-z]+)\s*\(([^)]*)\)/gi)].map(([, name, list]) => {
    const given = list!
      .split(/\s*,\s*|\s+/)
      .filter((one) => one !== '')
      .map(figureOf)
    const [a = 0, b] = given
    switch (name!.toLowerCase()) {
      case 'translatex':
        return `translate(${a} 0)`
      case 'translatey':
        return `translate(0 ${a})`
      case 'translate':
        return `translate(${a} ${b ?? 0})`
      case 'scalex':
        return `scale(${a} 1)`
      case 'scaley':
        return `scale(1 ${a})`
      case 'skew':
        return `skewX(${a}) skewY(${b ?? 0})`
      default:
        return `${name}(${given.join(' ')})`
    }
  })
  const [x = 0, y = 0] = (origin ?? '').split(/\s+/).map((one) => svgLength(one, 0) ?? 0)
  return x === 0 && y === 0
    ? turns.join(' ')
    : `translate(${x} ${y}) ${turns.join(' ')} translate(${-x} ${-y})`
}

function figureOf(text: string): number {
  const angle = /^([+-]?[\d.]+(?:e[+-]?\d+)?)(deg|rad|grad|turn)$/i.exec(text)
  if (angle) return Number(angle[1]) * DEGREES[angle[2]!.toLowerCase()]!
  return svgLength(text, 0) ?? 0
}
