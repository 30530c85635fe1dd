import type { Verdict } from '../../core/moments/moment.ts'

const COLOUR: Record<Verdict, string> = { holds: 'text-holds', watch: 'text-watch', fails: 'text-fails' }

/** A verdict by shape, word and colour: a ring holds, a raised wedge is to be watched, a block split in two fails. */
export function VerdictMark({ verdict, word = true }: { verdict: Verdict; word?: boolean }) {
  return (
    <span className={`inline-flex items-center gap-1.5 font-semibold ${COLOUR[verdict]}`}>
      <svg viewBox="0 0 16 16" className="size-4 shrink-0" aria-hidden="true">
        {verdict === 'holds' && <circle cx="8" cy="8" r="5.5" fill="none" stroke="currentColor" strokeWidth="2.6" />}
        {verdict === 'watch' && (
          <path d="M8 2 14.5 14H1.5Z" fill="none" stroke="currentColor" strokeWidth="2.2" strokeLinejoin="round" />
        )}
        {verdict === 'fails' && <path d="M1.5 2h8L5.5 14h-4zM12 2h2.5v12H8z" fill="currentColor" />}
      </svg>
      <span className={word ? '' : 'sr-only'}>{verdict}</span>
    </span>
  )
}
