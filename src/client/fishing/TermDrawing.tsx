import type { ReactNode } from 'react'
import type { TermId } from '../words/glossary.ts'

const label = (x: number, y: number, text: string, anchor: 'start' | 'middle' | 'end' = 'middle') => (
  <text key={`${x} ${y}`} x={x} y={y} fontSize={11} textAnchor={anchor} fill="currentColor" stroke="none">
    {text}
  </text>
)
const bottom = <path d="M0 96H240" strokeWidth={1.5} />
const boatAtSea = (
  <>
    <path d="M20 14h44l-8 10H28Z" fill="var(--spread)" />
    <path d="M0 24q10 -4 20 0t20 0t20 0t20 0t20 0t20 0t20 0t20 0t20 0t20 0" stroke="var(--tide)" />
    {bottom}
  </>
)
const sinker = (x: number, y: number) => <path d={`M${x} ${y - 9}l6 9a6 5 0 0 1 -12 0Z`} fill="currentColor" />

/** Terms that a drawing explains better than words. */
const DRAWINGS: Partial<Record<TermId, ReactNode>> = {
  fuse: (
    <>
      <path d="M8 50H96M144 50H200q18 0 18 14q0 12 -12 12" strokeWidth={2.5} />
      <path d="M96 50H144" strokeDasharray="3 4" stroke="var(--fails)" strokeWidth={2} />
      <path d="M110 40l8 20M122 40l8 20" stroke="var(--fails)" />
      {label(52, 40, '50 lb')}
      {label(120, 82, '27 lb: breaks first')}
      {label(176, 40, '40 lb')}
    </>
  ),
  snood: (
    <>
      <path d="M60 6V92" strokeWidth={2.5} />
      {sinker(60, 96)}
      <path d="M60 34H160q14 0 14 11q0 10 -9 10" stroke="var(--tide)" strokeWidth={2} />
      {label(112, 27, 'snood')}
      {label(52, 60, 'trace', 'end')}
    </>
  ),
  weakLink: (
    <>
      <path d="M20 30H150q16 0 16 12q0 10 -10 10" strokeWidth={2.5} />
      <path d="M90 30V80" stroke="var(--fails)" strokeDasharray="3 4" strokeWidth={2} />
      {sinker(90, 92)}
      <path d="M60 96q10 -18 22 -8q12 -14 26 0q8 4 12 8Z" fill="var(--spread)" />
      {label(98, 62, 'weak link', 'start')}
    </>
  ),
  scope: (
    <>
      {boatAtSea}
      <path d="M60 20Q120 80 210 94" />
      {sinker(212, 96)}
      <path d="M40 28V94" strokeDasharray="2 3" />
      {label(36, 62, 'depth', 'end')}
      {label(150, 60, 'line out')}
    </>
  ),
  bow: (
    <>
      {bottom}
      {sinker(222, 94)}
      <path d="M10 12Q70 100 216 92" />
      <path d="M10 12L216 90" strokeDasharray="2 3" />
      <path d="M120 30l-14 14m0 -8v8h8" stroke="var(--tide)" />
      {label(132, 30, 'current', 'start')}
      {label(70, 86, 'bow')}
    </>
  ),
  reserve: (
    <>
      <path d="M20 92H220" />
      <path d="M50 92V42h40v50Z" fill="var(--spread)" />
      <path d="M140 92V17h40v75Z" fill="var(--spread)" />
      <path d="M140 42H180" strokeDasharray="3 3" />
      {label(70, 36, 'just holds')}
      {label(160, 11, 'use this')}
      {label(186, 33, 'reserve', 'start')}
    </>
  ),
  springs: (
    <>
      <path
        d="M4 44q8 -76 16 0t16 0q8 -70 16 0t16 0q8 -56 16 0t16 0q8 -40 16 0t16 0q8 -28 16 0t16 0q8 -40 16 0t16 0q8 -56 16 0t16 0"
        stroke="var(--tide)"
      />
      {label(34, 98, 'springs')}
      {label(146, 98, 'neaps')}
    </>
  ),
  upTide: (
    <>
      {boatAtSea}
      <path d="M24 20Q60 110 214 94" />
      {sinker(216, 96)}
      <path d="M214 50H160m8 -6l-8 6l8 6" stroke="var(--tide)" />
      {label(187, 42, 'current')}
    </>
  ),
  gap: (
    <>
      <circle cx={28} cy={22} r={6} />
      <path d="M34 22H150a26 26 0 0 1 0 52H112" strokeWidth={3} />
      <path d="M118 26V70m-4 -6l4 6l4 -6m-8 -32l4 -6l4 6" stroke="var(--tide)" />
      {label(108, 52, 'gap', 'end')}
    </>
  ),
}

/** The drawing of a term, where it has one. */
export function TermDrawing({ id }: { id: TermId }) {
  const drawing = DRAWINGS[id]
  if (!drawing) return null
  return (
    <svg
      viewBox="0 0 240 102"
      className="block w-full text-ink"
      aria-hidden="true"
      fill="none"
      stroke="currentColor"
      strokeWidth={1.5}
    >
      {drawing}
    </svg>
  )
}
