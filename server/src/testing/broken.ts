import fc from 'fast-check'

/** What belongs nowhere in a file. */
export const hostile: fc.Arbitrary<unknown> = fc.oneof(
  fc.constantFrom<unknown>(null, NaN, Infinity, -1e308, 1e308, '', '__proto__', [], {}, true, -0),
  fc.double(),
  fc.string({ maxLength: 300 }),
  fc.anything({ maxDepth: 3 }),
)

/** A way down into a file, by the number of the entry at each turn. */
export const somewhere = fc.array(fc.nat(12), { minLength: 1, maxLength: 5 })

/** The same file with one thing in it, anywhere, changed for something that does not belong there. */
export function broken(file: unknown, where: readonly number[], by: unknown): unknown {
  const [step = 0, ...rest] = where
  if (typeof file !== 'object' || file === null || Object.keys(file).length === 0) return by
  const keys = Object.keys(file)
  const key = keys[step % keys.length]!
  const inner = (file as Record<string, unknown>)[key]
  const changed = rest.length === 0 ? by : broken(inner, rest, by)
  return Array.isArray(file)
    ? file.map((one: unknown, i) => (String(i) === key ? changed : one))
    : { ...file, [key]: changed }
}
