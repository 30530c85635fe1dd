// A thread of the pool: Node cannot read TypeScript by itself here, so the loader comes first.
import { register } from 'tsx/esm/api'

register()
const { doJob } = await import('./job.ts')

export default doJob
