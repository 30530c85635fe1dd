/**
 * Ways a bait is put on a hook: what it is for (a live bait, a dead one, a soft lure), the share of its depth that then lies in the
 * gap, and what it does. Shares nominal, ours.
 */
export const RIGGINGS = {
  nose: { name: 'through the nose', of: 'live', buried: 0.08, does: 'It swims along, head to the stream.' },
  throat: { name: 'through the throat', of: 'live', buried: 0.1, does: 'It swims down.' },
  back: { name: 'through the back', of: 'live', buried: 0.12, does: 'It swims up: mind the birds.' },
  tail: { name: 'through the tail', of: 'live', buried: 0.1, does: 'It swims away from the line, and down.' },
  bridled: {
    name: 'bridled',
    of: 'live',
    buried: 0,
    does: 'The hook lies outside it and the whole gap is free; it swims freely.',
  },
  seam: { name: 'along its centre seam', of: 'dead', buried: 0.3, does: 'It hangs straight and spins the least.' },
  edge: { name: 'once through its edge', of: 'dead', buried: 0.2, does: 'The point stands clear; it is thrown off sooner.' },
  bound: {
    name: 'bound along a tube on the shank',
    of: 'dead',
    buried: 0.15,
    does: 'The tube is a lever: a pull on the line turns the point out, away from the bait.',
  },
  skin: { name: 'point under the skin', of: 'soft', buried: 0.35, does: 'Weedless: a bite pushes the point through.' },
  flush: {
    name: 'point flush on its back',
    of: 'soft',
    buried: 0.5,
    does: 'Weedless: the point lies along the body until it is bitten.',
  },
} as const
