import { existsSync, readFileSync } from 'node:fs'
import { dirname, join, relative, resolve } from 'node:path'
import { HOUSE } from './house.mjs'

const base = resolve(import.meta.dirname, '..')

/** The storey of a file: the longest of those that name its folders or itself; a star stands for any one folder. */
function storeyOf(within, storeys) {
  const path = within.replace(/(\.spec)?\.ts$/, '').split('/')
  const named = storeys.filter((storey) =>
    storey.split('/').every((name, i) => path[i] !== undefined && (name === '*' || name === path[i])),
  )
  return named.sort((a, b) => b.length - a.length)[0] ?? path[0]
}

/** Where in the house a file stands; undefined outside of it. */
function placeOf(file) {
  for (const part of HOUSE) {
    const within = relative(join(base, part.root), file)
    if (within.startsWith('..')) continue
    const storey = storeyOf(within, part.storeys)
    return { part, storey, height: part.storeys.indexOf(storey), testing: part.testing.includes(storey) }
  }
  return undefined
}

/** The file that a relative import leads to. */
function target(from, source) {
  if (!source.startsWith('.')) return undefined
  const path = resolve(dirname(from), source)
  return [`${path}.ts`, join(path, 'index.ts')].find(existsSync)
}

const imports = new Map()
/** What a file imports of the house, read once in a run. */
function importsOf(file) {
  let found = imports.get(file)
  if (!found) {
    const text = readFileSync(file, 'utf8')
    const sources = [...text.matchAll(/^(?:import|export)\b[^'"]*?from '([^']+)'/gm)].map(
      ([, source]) => source,
    )
    imports.set(file, (found = sources.flatMap((source) => target(file, source) ?? [])))
  }
  return found
}

/** The way back from a file to another over imports, if there is one. */
function wayBack(from, to) {
  const ways = [[from]]
  const seen = new Set([from])
  for (let way = ways.shift(); way; way = ways.shift()) {
    if (way.at(-1) === to) return way
    for (const next of importsOf(way.at(-1)))
      if (!seen.has(next)) {
        seen.add(next)
        ways.push([...way, next])
      }
  }
  return undefined
}

/** Whether a file may import from another, by where both stand. */
function mistake(file, other) {
  const from = placeOf(file)
  const to = placeOf(other)
  if (!from || !to || from.part !== to.part) return undefined
  const test = from.testing || file.endsWith('.spec.ts')
  if (to.testing && !test) return `${to.storey} is for tests only`
  if (from.testing || to.testing || test) return undefined
  for (const { height, storey } of [from, to])
    if (height < 0) return `“${storey}” has no place in lint/house.mjs`
  if (to.height > from.height) return `${from.storey} stands below ${to.storey} and knows nothing of it`
  return undefined
}

/** Holds the order of the house, and refuses circles. */
const storeys = {
  create(context) {
    const file = context.filename
    const look = (node) => {
      if (!node.source) return
      const other = target(file, node.source.value)
      if (!other) return
      const message = mistake(file, other)
      if (message) return context.report({ node, message })
      const way = wayBack(other, file)
      if (way)
        context.report({
          node,
          message: `A circle: ${[file, ...way].map((one) => relative(base, one)).join(' > ')}`,
        })
    }
    return { ImportDeclaration: look, ExportNamedDeclaration: look, ExportAllDeclaration: look }
  },
}

export default { rules: { storeys } }
