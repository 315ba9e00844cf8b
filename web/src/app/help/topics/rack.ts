import type { HelpTopic } from '../help-topic'

export const rack: HelpTopic = {
  key: 'rack',
  title: 'Rack',
  lines: [
    {
      text: 'Your own table of factory shoes: what each size measures, and how many hang on the van. The Size step of the Bench chooses out of it.',
    },
    {
      text: 'Measure one shoe of each size as it is sold: web, thickness and the length along the middle of the web. Where you know only width and length as sold, a file with both derives the rest, and marks it.',
    },
    {
      text: 'Holes are told by two measures each: from the middle of the toe along the outer rim, and in from the outer rim. Copy a size and change what differs. Of a moulded shoe, say where its crease begins: no saw goes further in.',
    },
    {
      text: 'A size goes down by one when it is nailed on at a visit, and stays where the old shoe is reset. Below what you want to keep, it stands in the list to order.',
    },
    {
      text: 'A whole table comes in pasted out of a spreadsheet or from a file, in inches or millimetres, seen row by row before anything is kept, and goes out as a file.',
    },
  ],
}
