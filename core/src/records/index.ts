/** The Zod schemas of everything stored or sent. Kept apart from the core's front door: screens need only the types. */
export * from './common'
export * from './foot'
export * from './shoe'
export * from './practice'
export * from './practice-facts'
export * from './look'
export * from './snapshot-schema'
