import type { HookOutline } from '../../core/layout/hookOutline.ts'

type Props = {
  outline: HookOutline
  /** Another size beside the hook: dashed, without its barb. */
  ghost?: boolean
  barbless?: boolean | undefined
  /** Thinnest that wire is drawn, mm; absent: as thick as it is. */
  leastWireMm?: number
}

/** A hook of an outline in millimetres: eye, shank, bend, point and barb. The caller sets the scale. */
export function HookShape({ outline, ghost = false, barbless = false, leastWireMm = 0 }: Props) {
  const { path, barb, points, eyeMm } = outline
  const wireMm = Math.max(leastWireMm, outline.wireMm)
  const dashes = ghost ? { strokeDasharray: '1.2 1.2', strokeWidth: 0.35 } : { strokeWidth: wireMm }
  const hasBarb = !ghost && !barbless
  return (
    <g fill="none" stroke="currentColor" strokeLinecap="round" strokeLinejoin="round" opacity={ghost ? 0.6 : 1}>
      <path d={path} {...dashes} data-hook={ghost ? 'ghost' : 'own'} />
      {hasBarb && <path d={barb} strokeWidth={wireMm * 0.7} />}
      {points > 1 && (
        <g transform="scale(1 -1)">
          <path d={path} {...dashes} />
          {hasBarb && <path d={barb} strokeWidth={wireMm * 0.7} />}
        </g>
      )}
      <circle cx={-eyeMm} cy={0} r={eyeMm} {...dashes} strokeWidth={ghost ? 0.35 : wireMm * 0.7} />
    </g>
  )
}
