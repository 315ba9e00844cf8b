import type { DataSet } from 'dicom-parser'

/** Letters of a text by the name a file gives them (DICOM PS3.3 C.12.1.1.2), as a decoder of texts calls them. */
const LETTERS: Readonly<Record<string, string>> = {
  'ISO_IR 192': 'utf-8',
  'ISO_IR 100': 'iso-8859-1',
  'ISO_IR 101': 'iso-8859-2',
  'ISO_IR 109': 'iso-8859-3',
  'ISO_IR 110': 'iso-8859-4',
  'ISO_IR 144': 'iso-8859-5',
  'ISO_IR 127': 'iso-8859-6',
  'ISO_IR 126': 'iso-8859-7',
  'ISO_IR 138': 'iso-8859-8',
  'ISO_IR 148': 'windows-1254',
  'ISO_IR 166': 'windows-874',
  'ISO_IR 13': 'shift_jis',
  'ISO 2022 IR 13': 'shift_jis',
  'ISO 2022 IR 87': 'iso-2022-jp',
  'ISO 2022 IR 149': 'euc-kr',
  GB18030: 'gb18030',
  GBK: 'gbk',
}

/** The letters a file is written in: of several that take turns the one that is not plain Latin. */
const lettersOf = (said: DataSet): string =>
  (said.string('x00080005') ?? '')
    .split('\\')
    .map((name) => LETTERS[name.trim()] ?? LETTERS[name.trim().replace('ISO 2022 IR', 'ISO_IR')])
    .findLast((letters) => letters !== undefined) ?? 'iso-8859-1'

/** A text of a file in its own letters; of a name written in several ways the first. Nothing where there is none. */
export function textOf(said: DataSet, tag: string): string | undefined {
  const element = said.elements[tag]
  if (!element || element.length === 0) return undefined
  const bytes = said.byteArray.subarray(element.dataOffset, element.dataOffset + element.length)
  const text = new TextDecoder(lettersOf(said)).decode(bytes).split('=')[0]!
  return text.replaceAll('^', ' ').replaceAll('\0', '').replace(/ +/g, ' ').trim() || undefined
}
