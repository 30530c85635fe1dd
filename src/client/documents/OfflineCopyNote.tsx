import { useShow } from '../settings/preferences.tsx'
import type { OfflineCopy } from './useOfflineCopy.ts'

/** Says whether this browser has what a trip needs without a network. */
export function OfflineCopyNote({ taken }: { taken: OfflineCopy }) {
  const show = useShow()
  return (
    <p role="status" className="text-sm text-quiet">
      {taken === 'loading' && 'Keeping a copy on this device for use without a network …'}
      {taken === 'incomplete' && 'Not all of it is on this device yet: without a network, something may be missing.'}
      {taken === 'not-here' && 'This browser keeps no copy at this address. Without a network, leave the page open.'}
      {typeof taken === 'object' && `A copy of ${show.clock(taken.keptMs)} is on this device: it opens without a network.`}
    </p>
  )
}
