/** What can be drawn at true size, to cut or to lay on. */
export const TEMPLATE_KINDS = ['sole', 'foot', 'plate', 'frog', 'pad', 'bars', 'strip'] as const
export type TemplateKind = (typeof TEMPLATE_KINDS)[number]

/** Those that are drawn of pieces beside the shoe. */
export type PieceKind = Exclude<TemplateKind, 'sole' | 'foot' | 'strip'>

/** What each is called. */
export const TEMPLATE_LABELS: Readonly<Record<TemplateKind, string>> = {
  sole: 'Shoe, ground side',
  foot: 'Shoe, foot side',
  plate: 'Hospital plate',
  frog: 'Frog plate',
  pad: 'Pad',
  bars: 'Cross bars',
  strip: 'Bar with its marks',
}
