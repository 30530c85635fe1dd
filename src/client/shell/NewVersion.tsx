import { useEffect, useState } from 'react'
import { useLocation } from 'react-router'
import { Workbox } from 'workbox-window'
import { Button } from '../ui/controls.tsx'

/** Keeps the application in this browser for use without a network, and offers a newer one; not in the middle of a trip. */
export default function NewVersion() {
  const { pathname } = useLocation()
  const [newer, setNewer] = useState<Workbox>()
  useEffect(() => {
    if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return
    const worker = new Workbox('/serviceWorker.js')
    worker.addEventListener('waiting', () => {
      worker.addEventListener('controlling', ({ isUpdate }) => isUpdate && location.reload())
      setNewer(worker)
    })
    // A browser that refuses it keeps no copy; the trip's page says so.
    worker.register({ immediate: true }).catch(() => undefined)
  }, [])
  if (!newer || /^\/trips\/[^/]+\/fish$/.test(pathname)) return null
  return (
    <p role="status" className="no-print flex flex-wrap items-center gap-3 border-b border-rule bg-well px-3 py-1 sm:px-6">
      <span className="mr-auto">A new version is ready. What you typed stays.</span>
      <Button onClick={() => newer.messageSkipWaiting()}>Reload</Button>
    </p>
  )
}
