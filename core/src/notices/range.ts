import type { Problem } from './problem'
import { formatFigure, type WrittenKind } from '../units/figure'
import type { LengthStyle } from '../units/length'
import { writeTold } from './told'

/** The problem of a figure that lies outside its possible range, or undefined when it lies within. */
export function outOfRange(
  path: string,
  figure: string,
  kind: WrittenKind,
  value: number,
  range: readonly [number, number],
): Problem | undefined {
  if (Number.isFinite(value) && value >= range[0] && value <= range[1]) return undefined
  const problem: Problem = { path, figure, kind, value, range, message: '' }
  return { ...problem, message: describeProblem(problem) }
}

/** A problem's sentence, with its lengths in the reader's unit. */
export function describeProblem(problem: Problem, style?: LengthStyle): string {
  const { figure, kind, value, range } = problem
  if (figure === undefined || kind === undefined || range === undefined || value === undefined) {
    return problem.told && style ? writeTold(problem.told, style) : problem.message
  }
  const write = (n: number) => formatFigure(n, kind, style)
  const given = Number.isFinite(value) ? `${write(value)} is not possible` : 'a number is needed'
  return `${figure}: ${given} here, it lies between ${write(range[0])} and ${write(range[1])}`
}
