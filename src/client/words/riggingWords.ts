import type { Rigging } from '../../core/catalogue/ids.ts'

/** How a bait is put on, and what it then does. */
export const RIGGING_WORDS: Record<Rigging, { name: string; does: string }> = {
  nose: { name: 'through the nose', does: 'It swims along, head into the current.' },
  throat: { name: 'through the throat', does: 'It swims down.' },
  back: { name: 'through the back', does: 'It swims up. Watch for birds.' },
  tail: { name: 'through the tail', does: 'It swims away from the line, and down.' },
  bridled: { name: 'bridled', does: 'The hook lies outside and the whole gap is open. It swims freely.' },
  seam: { name: 'along its centre seam', does: 'It hangs straight and spins the least.' },
  edge: { name: 'once through its edge', does: 'The point is clear, but the bait comes off sooner.' },
  bound: {
    name: 'bound along a tube on the shank',
    does: 'The tube turns the point away from the bait when you pull.',
  },
  stitched: { name: 'stitched to the shank', does: 'It stays on in the cast and does not spin.' },
  threaded: { name: 'threaded through and out', does: 'It lies along the line and does not spin.' },
  pointUp: { name: 'point up', does: 'The point rides clear of the bottom.' },
  skin: { name: 'point under the skin', does: 'Weedless: a bite pushes the point through.' },
  ring: { name: 'under a rubber ring', does: 'Both ends move freely; the ring spares the worm.' },
  flush: { name: 'point flush on its back', does: 'Weedless: the point lies along the body until it is bitten.' },
}
