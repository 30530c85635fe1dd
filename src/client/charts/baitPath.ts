import type { BaitForm } from '../../core/catalogue/ids.ts'

/** Where a bait lies and how large it is, in the units of its drawing. */
type Placed = { x: number; y: number; lengthMm: number; depthMm: number }
/** A point of the bait by its share of the length from the head, and of the depth from the back. */
type At = (along: number, down: number) => string

/** A bait by its form, as long and as deep as it is. */
const BODIES: Record<BaitForm, (at: At) => string> = {
  // A head at the left and a forked tail at the right.
  fish: (at) =>
    `M${at(0, 0.5)}C${at(0.15, -0.15)} ${at(0.55, -0.1)} ${at(0.85, 0.35)}L${at(1, 0)}L${at(0.94, 0.5)}L${at(1, 1)}L${at(0.85, 0.65)}C${at(0.55, 1.1)} ${at(0.15, 1.15)} ${at(0, 0.5)}Z`,
  // A body that ends in a paddle.
  soft: (at) =>
    `M${at(0, 0.5)}C${at(0.1, -0.1)} ${at(0.45, 0)} ${at(0.78, 0.4)}C${at(0.85, -0.1)} ${at(1, -0.1)} ${at(1, 0.5)}C${at(1, 1.1)} ${at(0.85, 1.1)} ${at(0.78, 0.6)}C${at(0.45, 1)} ${at(0.1, 1.1)} ${at(0, 0.5)}Z`,
  // A mantle with fins, a head, and arms behind it.
  squid: (at) =>
    `M${at(0, 0.5)}L${at(0.16, 0)}L${at(0.24, 0.2)}L${at(0.6, 0.12)}L${at(0.6, 0.88)}L${at(0.24, 0.8)}L${at(0.16, 1)}ZM${at(0.6, 0.25)}L${at(0.7, 0.25)}L${at(0.7, 0.75)}L${at(0.6, 0.75)}M${at(0.7, 0.3)}Q${at(0.85, 0)} ${at(1, 0.2)}M${at(0.7, 0.5)}L${at(1, 0.5)}M${at(0.7, 0.7)}Q${at(0.85, 1)} ${at(1, 0.8)}`,
  piece: (at) => `M${at(0.05, 0)}L${at(0.95, 0)}L${at(1, 1)}L${at(0, 1)}Z`,
  // A round shell between claws and legs.
  crab: (at) =>
    `M${at(0.2, 0.5)}C${at(0.2, -0.1)} ${at(0.8, -0.1)} ${at(0.8, 0.5)}C${at(0.8, 1.1)} ${at(0.2, 1.1)} ${at(0.2, 0.5)}ZM${at(0.24, 0.25)}Q${at(0, 0.3)} ${at(0.06, 0)}M${at(0.76, 0.25)}Q${at(1, 0.3)} ${at(0.94, 0)}M${at(0.2, 0.6)}L${at(0, 0.75)}M${at(0.8, 0.6)}L${at(1, 0.75)}M${at(0.27, 0.85)}L${at(0.1, 1)}M${at(0.73, 0.85)}L${at(0.9, 1)}`,
  // A fan with ribs.
  shell: (at) =>
    `M${at(0.5, 1)}L${at(0, 0.45)}C${at(0.1, -0.15)} ${at(0.9, -0.15)} ${at(1, 0.45)}ZM${at(0.5, 1)}L${at(0.28, 0.12)}M${at(0.5, 1)}L${at(0.5, 0)}M${at(0.5, 1)}L${at(0.72, 0.12)}`,
  // Bent, with feelers before it and a fan behind.
  prawn: (at) =>
    `M${at(0.14, 0.45)}C${at(0.3, -0.15)} ${at(0.75, -0.1)} ${at(0.88, 0.55)}L${at(1, 0.75)}L${at(0.9, 1)}L${at(0.78, 0.75)}C${at(0.65, 0.5)} ${at(0.4, 0.65)} ${at(0.14, 0.45)}ZM${at(0.14, 0.45)}L${at(0, 0.1)}M${at(0.14, 0.45)}L${at(0, 0.6)}M${at(0.36, 0.6)}L${at(0.32, 0.95)}M${at(0.5, 0.6)}L${at(0.48, 0.95)}M${at(0.64, 0.65)}L${at(0.64, 0.95)}`,
  // Wide where it is hooked, to a tip.
  strip: (at) => `M${at(0, 0.1)}Q${at(0.6, 0)} ${at(1, 0.5)}Q${at(0.6, 1)} ${at(0, 0.9)}Z`,
  // In two waves, as thick all along.
  worm: (at) =>
    `M${at(0, 0.5)}C${at(0.08, 0)} ${at(0.2, -0.1)} ${at(0.3, 0.2)}S${at(0.45, 0.6)} ${at(0.55, 0.2)}S${at(0.85, -0.1)} ${at(1, 0.5)}C${at(0.9, 1)} ${at(0.75, 0.2)} ${at(0.65, 0.7)}S${at(0.35, 1.1)} ${at(0.28, 0.8)}S${at(0.08, 0.9)} ${at(0, 0.5)}Z`,
}

/** The outline of a bait or soft lure by its form. */
export function baitPath({ form, x, y, lengthMm, depthMm }: Placed & { form: BaitForm }): string {
  const round = (mm: number) => Number(mm.toFixed(2))
  return BODIES[form]((along, down) => `${round(x + along * lengthMm)} ${round(y + down * depthMm)}`)
}
