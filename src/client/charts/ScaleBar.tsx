/** A bar of so many millimetres, with its length in words; in a drawing whose unit is the millimetre. */
export function ScaleBar({ x, y, mm, pxPerMm }: { x: number; y: number; mm: number; pxPerMm: number }) {
  const tick = 4 / pxPerMm
  return (
    <g data-scale-mm={mm}>
      <path d={`M${x} ${y - tick}v${tick}h${mm}v${-tick}`} fill="none" stroke="currentColor" strokeWidth={1.2 / pxPerMm} />
      <text x={x + mm / 2} y={y - 6 / pxPerMm} fontSize={11 / pxPerMm} textAnchor="middle" fill="currentColor">
        {mm >= 10 ? `${mm / 10} cm` : `${mm} mm`}
      </text>
    </g>
  )
}
