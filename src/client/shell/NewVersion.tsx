import { useRegisterSW } from 'virtual:pwa-register/react'
import { useLocation } from 'react-router'
import { Button } from '../ui/controls.tsx'

/** Keeps the application in this browser for use without a network, and offers a newer one; not in the middle of a trip. */
export default function NewVersion() {
  const { pathname } = useLocation()
  const {
    needRefresh: [isReady],
    updateServiceWorker,
  } = useRegisterSW()
  if (!isReady || /^\/trips\/[^/]+\/fish$/.test(pathname)) return null
  return (
    <p role="status" className="no-print flex flex-wrap items-center gap-3 border-b border-rule bg-well px-3 py-1 sm:px-6">
      <span className="mr-auto">A new version is ready. What you typed stays.</span>
      <Button onClick={() => void updateServiceWorker(true)}>Reload</Button>
    </p>
  )
}
