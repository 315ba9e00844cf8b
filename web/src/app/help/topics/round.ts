import type { HelpTopic } from '../help-topic'

export const round: HelpTopic = {
  key: 'round',
  title: 'Round',
  lines: [
    { text: 'Who is due, the longest overdue first, and which visits are still open.' },
    {
      text: 'Start a visit and the Bench opens with the Look. The steps stand in the order of the work: Look, Map, Shoe, Nail, then Finish visit.',
    },
    {
      text: 'As last time: new shoes of the same or the old ones put back, all four with one confirmation. Iron for the day leaves out what is finished; print it for the van.',
    },
    {
      text: 'Steps of courses and calls that were promised stand here until something became of them; what is late stands out. A call is promised on the horse’s page.',
    },
    {
      text: 'Places puts together what is due at one place. Week and Month show the days ahead: who is due where, how long it takes, what it needs from the van. Drag a horse to another day, or use the arrows on it.',
    },
    {
      text: 'Next visits as a calendar: keep the file, or have your calendar read its address again and again. Where the practice has a password the calendar sends it, under any name.',
    },
    {
      text: 'A visit can lie open for days: everything typed is kept in this browser at once, and with the horse when you save.',
    },
  ],
}
