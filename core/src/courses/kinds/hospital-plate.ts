import type { CourseKind } from '../kind'

/** Hospital plate: off to dress, on again, screws tightened. */
export const hospitalPlate: CourseKind = {
  key: 'hospital-plate',
  label: 'Hospital plate',
  use: 'Plate off to dress, on again; screws looked at every day.',
  vetLeads: true,
  follows: { modifications: ['hospital-plate'], advice: ['hospital-plate'] },
  steps: [
    {
      day: 0,
      who: 'farrier',
      label: 'Plate on',
      text: 'Show the owner how plate and screws come off and go on, on the other side of a bench if need be.',
    },
    {
      day: 2,
      who: 'owner',
      label: 'First dressing',
      text: 'Plate off, clean, pack as the vet said, plate on, screws hand tight.',
      stops: 'A screw that will not tighten or a stripped thread: call, do not work the horse.',
    },
    {
      day: 7,
      who: 'farrier',
      label: 'Screws and threads',
      text: 'Look at the threads, no bruise under the plate, studs firm.',
      stops: 'A bruise where the plate lay: bend it clear or leave it off.',
    },
    {
      day: 14,
      who: 'vet',
      label: 'The vet looks',
      text: 'Whether it may stay off.',
    },
    { day: 35, who: 'farrier', label: 'Reset, plate or none' },
  ],
  signs: [
    { key: 'no-bruise', asks: 'No bruise under the plate' },
    { key: 'healing', asks: 'What is dressed heals' },
    { key: 'threads', asks: 'Screws and threads hold' },
  ],
  meanwhile: [
    'Tighten the screws every day, hand tight.',
    'Plate off, clean and packed as often as the vet said; nothing left under it.',
  ],
  pain: ['Going shorter than before, a smell, wet packing.'],
  stops: ['A bruise or a wound under the plate.'],
}
