import type { HookOutline } from '../../core/layout/hookOutline.ts'

/** A hook of an outline in millimetres; whoever draws it sets the scale. */
export function HookShape({ outline, ghost = false }: { outline: HookOutline; ghost?: boolean }) {
  const { path, wireMm, eyeMm } = outline
  const dashes = ghost ? { strokeDasharray: '1.2 1.2', strokeWidth: 0.35 } : { strokeWidth: wireMm }
  return (
    <g fill="none" stroke="currentColor" strokeLinecap="round" strokeLinejoin="round" opacity={ghost ? 0.6 : 1}>
      <path d={path} {...dashes} data-hook={ghost ? 'ghost' : 'own'} />
      <circle cx={-eyeMm} cy={0} r={eyeMm} {...dashes} strokeWidth={ghost ? 0.35 : wireMm * 0.7} />
    </g>
  )
}
