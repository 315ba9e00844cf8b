// Whoever compiles this file needs the shapes of a package that has none; the screens do so by another list of files.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./js-aruco2.d.ts" />
import aruco from 'js-aruco2'
import { DICTIONARY } from './card'

/** The squares of a mark, row by row from its top left: true is black. Its outermost ring is black throughout. */
export function squaresOf(id: number): boolean[][] {
  const { codeList, markSize } = new aruco.AR.Dictionary(DICTIONARY)
  const code = codeList[id]!
  return Array.from({ length: markSize }, (_, row) =>
    Array.from({ length: markSize }, (_, column) => {
      const edge = row === 0 || column === 0 || row === markSize - 1 || column === markSize - 1
      return edge || code[(row - 1) * (markSize - 2) + column - 1] === '0'
    }),
  )
}
