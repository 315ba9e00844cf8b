/**
 * Of many things said by name, the one that was asked for.
 *
 * @throws Error that names all of them
 */
export function oneOf<T extends string>(
  name: string,
  said: string | undefined,
  all: readonly T[],
): T | undefined {
  if (said === undefined) return undefined
  const found = all.find((each) => each === said)
  if (!found) throw new Error(`--${name}: one of ${all.join(', ')}`)
  return found
}

/**
 * A number that was asked for, within what is possible.
 *
 * @throws Error that names the range
 */
export function figure(
  name: string,
  said: string | undefined,
  least: number,
  most: number,
): number | undefined {
  if (said === undefined) return undefined
  const value = Number(said)
  if (!(value >= least && value <= most)) throw new Error(`--${name}: a number from ${least} to ${most}`)
  return value
}
