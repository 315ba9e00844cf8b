import type { HelpTopic } from '../help-topic'
import { word } from './kit'

export const iron: HelpTopic = {
  key: 'iron',
  title: 'Iron',
  lines: [
    {
      text: 'The work heat by heat: what to do, the shape the shoe should have when it is done, and three places to lay the rule. The bar is as long in each as in the finished shoe: it is bent from the toe outward, and beyond the bend it still runs straight.',
      picture: word('web'),
    },
    {
      text: 'Next step goes on; the letters on the drawing are those of the measures. Count heats with plus and minus. The screen stays awake as long as the device lets it, and your place is kept if the page is loaded anew.',
    },
    {
      text: 'Chalk the three figures on the anvil before the first heat: width at the widest, across the heels, toe to heels. They are what the shoe is held against before it is carried to the horse.',
    },
    {
      text: 'Log the cut: what you really cut, and what you cut off the finished heels. From the jobs of the same bar and the same work the next cut is corrected, with how far single jobs scatter; a job that lies far off is named and not learned from. It can be switched off.',
    },
    {
      text: 'True size: shoe, plates, pads, cross bars and the marked bar as PDF on paper, as SVG, or as DXF in millimetres. Lay a rule on the two check lines of the paper before you cut. Mirrored is for marking out on the face that looks at you.',
    },
    {
      text: 'Solid: the shoe as one closed piece with its holes, to print one for trying on or for a machine shop. It is a shape, not a shoe to ride on.',
    },
    {
      text: 'At the fire: eyes and ears protected, air that moves. Zinc-coated steel, brazing and hard-facing give off fumes that harm; modelling clay that burns is toxic. Aluminium has a wheel of its own: its dust, mixed with steel dust, can burn violently. A torch to soften a hard sole is for a trained hand only.',
    },
    {
      text: 'The forge card is the same on one page. In the menu of the Bench stand the cards of all feet, and the sheets for owner and vet.',
    },
  ],
}
