/**
 * The plan of the house: the storeys of each part from the ground up. A file imports only from its own storey and those
 * before it, types included, and no files import each other in a circle. A file that lies in no folder is a storey of its own.
 */
export const HOUSE = [
  {
    root: 'core/src',
    storeys: [
      'units',
      'geometry',
      'notices',
      'terms',
      'records',
      'workshop',
      'foot',
      'shoe',
      'nails',
      'modifications',
      'iron',
      'cautions',
      'plan',
      'views',
      'look',
      'advice',
      'sizes',
      'fitting',
      'text',
      'solid',
      'anvil',
      'index',
    ],
    /** For tests only: may look at everything, and nothing that ships looks at it. */
    testing: ['testing'],
  },
  {
    root: 'server/src',
    storeys: [
      'database',
      'resources/*/table',
      'practice',
      'http',
      'config',
      'resources',
      'app',
      'demo',
      'commands',
      'main',
    ],
    testing: ['testing'],
  },
  {
    root: 'web/src/app',
    storeys: [
      'common',
      'state',
      'drawing',
      'help',
      'change',
      'erasing',
      'bench',
      'rack',
      'round',
      'stable',
      'shell',
    ],
    testing: ['testing'],
  },
]
