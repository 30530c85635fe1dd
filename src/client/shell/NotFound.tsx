import { Link, useRouteError } from 'react-router'
import { Button, buttonClass } from '../ui/controls.tsx'
import { usePageTitle } from '../ui/usePageTitle.ts'

export function NotFound() {
  usePageTitle('Page not found')
  return (
    <div className="p-8">
      <h1 className="text-xl font-bold">This page does not exist</h1>
      <p className="my-3 text-quiet">Your traces are safe.</p>
      <Link to="/traces" className={buttonClass('strong')}>
        Open traces
      </Link>
    </div>
  )
}

/** A screen that broke, or whose file could not be fetched: what was typed is kept as a draft, so a reload is safe. */
export function ScreenFailed() {
  const error = useRouteError()
  usePageTitle('Problem')
  return (
    <div role="alert" className="p-8">
      <h1 className="text-xl font-bold">This page has a problem</h1>
      <p className="my-3 text-quiet">
        {error instanceof Error ? error.message : 'An unexpected error occurred.'} Unsaved changes are kept in this browser.
      </p>
      <Button tone="strong" onClick={() => window.location.reload()}>
        Reload
      </Button>
    </div>
  )
}
