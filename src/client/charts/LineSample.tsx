import { LINE_DASHES } from './LineView.tsx'

/** How a line is drawn, beside its words. */
export function LineSample({
  second = false,
  dash = second ? LINE_DASHES[1] : undefined,
}: {
  second?: boolean
  dash?: string | undefined
}) {
  return (
    <svg width={28} height={8} aria-hidden="true" className="mr-1.5 inline-block">
      <path d="M0 4h28" stroke="currentColor" strokeWidth={2} strokeDasharray={dash} />
    </svg>
  )
}
