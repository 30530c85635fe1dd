import type { ReactNode } from 'react'
import { Button } from './controls.tsx'

/** Loading, in words that a screen reader hears once. */
export function Loading({ what }: { what: string }) {
  return (
    <p role="status" className="p-6 text-quiet">
      Loading {what} …
    </p>
  )
}

type FailedProps = { what: string; error: Error; onRetry?: () => void; isPage?: boolean }

/**
 * A failed request, with what to do about it.
 * @param isPage it stands for the whole page, and has the heading of it.
 */
export function Failed({ what, error, onRetry, isPage = false }: FailedProps) {
  const Title = isPage ? 'h1' : 'p'
  return (
    <div role="alert" className="m-4 rounded-lg border border-fails bg-sheet p-4">
      <Title className="font-semibold">{what} could not be loaded.</Title>
      <p className="mt-1 text-quiet">{error.message}</p>
      {onRetry && (
        <Button className="mt-3" onClick={onRetry}>
          Try again
        </Button>
      )}
    </div>
  )
}

/** Why something was not done, said at once. */
export function Fault({ children }: { children: ReactNode }) {
  return (
    <p role="alert" className="text-fails">
      {children}
    </p>
  )
}

/** Nothing here yet, and the next step. */
export function Empty({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className="rounded-lg border border-dashed border-rule p-8 text-center">
      <p className="font-semibold">{title}</p>
      <div className="mt-2 text-quiet">{children}</div>
    </div>
  )
}
