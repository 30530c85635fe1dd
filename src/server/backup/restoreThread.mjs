// The thread of a restore: Node cannot read TypeScript by itself here, so the loader comes first.
import { register } from 'tsx/esm/api'

register()
const { restoreJob } = await import('./restoreJob.ts')

export default restoreJob
