// The thread beside where the server is run from its sources, as in its tests: nothing else reads TypeScript in a thread.
import { register } from 'tsx/esm/api'

register()
const { default: answer } = await import('./thread.ts')
export default answer
