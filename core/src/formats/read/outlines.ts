import { Unreadable, type ReadOutlines } from './curves'
import { readDxf } from './dxf'
import { joinedCurves } from './joined'
import { readPoints } from './points'
import { readSvg } from './svg'

/** No outline of a foot or shoe is larger as a file, characters. */
export const MOST_CHARACTERS = 1_000_000

/** Readers by the ending of a file's name. Another format is a file beside these and a line here. */
const READERS: Readonly<Record<string, (text: string) => ReadOutlines>> = {
  svg: readSvg,
  dxf: readDxf,
  csv: readPoints,
  txt: readPoints,
}

/**
 * The outlines of a drawing or a list of points: by the ending of its name, lines that meet joined to one.
 *
 * @throws Unreadable with a sentence that says what is wrong
 */
export function readOutlines(name: string, content: string): ReadOutlines {
  const ending = /\.([^.]+)$/.exec(name)?.[1]?.toLowerCase() ?? ''
  const reader = READERS[ending]
  if (!reader)
    throw new Unreadable(
      `“${name.slice(0, 80)}” is none of the files that are read here: ${Object.keys(READERS).join(', ')}.`,
    )
  if (content.length > MOST_CHARACTERS)
    throw new Unreadable('The file is larger than 1 MB: leave only the outline in it.')
  const read = reader(content)
  const curves = joinedCurves(read.curves)
  if (curves.length === 0) throw new Unreadable('There is no line in the file.')
  return { ...read, curves }
}
