import { useNetwork } from '../api/network.ts'
import { useShow } from '../settings/preferences.tsx'

/** Says that the server cannot be asked, and how old what is shown is. */
export function NetworkNote() {
  const { keptSince } = useNetwork()
  const show = useShow()
  if (keptSince === undefined) return null
  const timeMs = Date.parse(keptSince)
  return (
    <p role="status" className="no-print border-b border-rule bg-well px-3 py-1 text-sm sm:px-6">
      No network: this is what the server said on {show.date(new Date(timeMs))} at {show.clock(timeMs)}. What you log is kept and
      sent later.
    </p>
  )
}
