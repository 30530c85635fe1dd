import type { BaitForm } from '../../core/catalogue/ids.ts'

/** Where a bait lies and how large it is, in the units of its drawing. */
type Placed = { x: number; y: number; lengthMm: number; depthMm: number }

/** A bait by its form, as long and as deep as it is. */
const BODIES: Record<BaitForm, (bait: Placed) => string> = {
  fish: fishPath,
  soft: fishPath,
  squid: fishPath,
  piece: roundPath,
  crab: roundPath,
  shell: roundPath,
  prawn: roundPath,
  strip: tapePath,
  worm: tapePath,
}

/** With a head at the left and a tail at the right. */
function fishPath({ x, y, lengthMm: l, depthMm: d }: Placed): string {
  const middle = y + d / 2
  return `M${x} ${middle}C${x + l * 0.15} ${y - d * 0.15} ${x + l * 0.55} ${y - d * 0.1} ${x + l * 0.85} ${middle - d * 0.15}L${x + l} ${y}V${y + d}L${x + l * 0.85} ${middle + d * 0.15}C${x + l * 0.55} ${y + d * 1.1} ${x + l * 0.15} ${y + d * 1.15} ${x} ${middle}Z`
}

function roundPath({ x, y, lengthMm: l, depthMm: d }: Placed): string {
  return `M${x} ${y + d / 2}a${l / 2} ${d / 2} 0 0 1 ${l} 0a${l / 2} ${d / 2} 0 0 1 ${-l} 0Z`
}

/** As thick all along, with round ends. */
function tapePath({ x, y, lengthMm: l, depthMm: d }: Placed): string {
  const r = d / 2
  return `M${x + r} ${y}H${x + l - r}a${r} ${r} 0 0 1 0 ${d}H${x + r}a${r} ${r} 0 0 1 0 ${-d}Z`
}

/** The outline of a bait or soft lure by its form. */
export const baitPath = ({ form, ...placed }: Placed & { form: BaitForm }): string => BODIES[form](placed)
