import { useEffect, useState } from 'react'
import { useLocation } from 'react-router'
import { Workbox } from 'workbox-window'
import { Button } from '../ui/controls.tsx'

/** Keeps the application in this browser for use without a network, and offers a newer one; not in the middle of a trip. */
export default function NewVersion() {
  const { pathname } = useLocation()
  const [waiting, setWaiting] = useState<Workbox>()
  useEffect(() => {
    if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return
    const workbox = new Workbox('/serviceWorker.js')
    workbox.addEventListener('waiting', () => {
      workbox.addEventListener('controlling', () => location.reload())
      setWaiting(workbox)
    })
    // Refused in a private window, for example: then it works with a network only.
    workbox.register().catch(() => {})
  }, [])
  if (!waiting || /^\/trips\/[^/]+\/fish$/.test(pathname)) return null
  return (
    <p role="status" className="no-print flex flex-wrap items-center gap-3 border-b border-rule bg-well px-3 py-1 sm:px-6">
      <span className="mr-auto">A new version is ready. What you typed stays.</span>
      <Button onClick={() => waiting.messageSkipWaiting()}>Reload</Button>
    </p>
  )
}
