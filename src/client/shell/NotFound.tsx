import { Link, useRouteError } from 'react-router'
import { Button, buttonClass } from '../ui/controls.tsx'

export function NotFound() {
  return (
    <div className="p-8">
      <h1 className="text-xl font-bold">There is nothing at this address</h1>
      <p className="my-3 text-quiet">The traces are where you left them.</p>
      <Link to="/traces" className={buttonClass('strong')}>
        To the traces
      </Link>
    </div>
  )
}

/** A screen that broke, or whose file could not be fetched: what was typed is kept as a draft, so a reload is safe. */
export function ScreenFailed() {
  const error = useRouteError()
  return (
    <div role="alert" className="p-8">
      <h1 className="text-xl font-bold">This screen could not be shown</h1>
      <p className="my-3 text-quiet">
        {error instanceof Error ? error.message : 'Something unexpected happened.'} Unsaved changes are kept in this browser.
      </p>
      <Button tone="strong" onClick={() => window.location.reload()}>
        Load it again
      </Button>
    </div>
  )
}
