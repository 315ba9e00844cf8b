// The front door to designs beside each other: those to begin from, and what differs between two.
export { differences, type Difference } from './plan/difference'
export { TEMPLATES, templatesFor, type Template } from './plan/templates'
