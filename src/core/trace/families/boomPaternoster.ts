import type { Attach, Piece, Trace } from '../schema.ts'
import { assemble, baitedHook, type Family, hardware, joined, labelAtMostN, leaderPiece, sinker, type Wishes } from './draft.ts'

/** Distance between neighbouring booms, and from the ends to the first and last, m. */
const SPACING_M = 0.6
const ENDS_M = 0.3
/** Snoods stay under half the spacing, so that neighbours cannot meet. */
const SNOOD_M = 0.26
/** A trapped swivel turns between its beads in this much of the body. */
const TRAP_M = 0.012

const LETTERS = ['a', 'b', 'c'] as const

/** One to three booms trapped on the body between crimps, the sinker on a snap below. */
export const boomPaternoster: Family = {
  id: 'boomPaternoster',
  name: 'boom paternoster',
  about: 'One to three hooks stand off the body above the sinker. For searching clean or mixed ground with several baits.',
  usual: { name: 'Boom paternoster', sinkerKg: 0.15, hookSize: '1/0', hookPattern: 'circle', bait: 'lugworm', snoods: 2 },
  snoods: { least: 1, most: 3 },
  draft(wishes, outfit, conditions): Trace {
    const leader = leaderPiece(outfit, wishes.sinkerKg, conditions)
    const snoodN = labelAtMostN(leader.strengthN)
    const letters = LETTERS.slice(0, wishes.snoods)
    const bodyM = 2 * ENDS_M + (letters.length - 1) * SPACING_M
    return assemble(this.id, wishes, [
      leader,
      hardware('swivel', 'swivel', leader.strengthN, joined(leader.id, 'uni')),
      {
        id: 'body',
        role: 'body',
        material: 'mono',
        strengthN: leader.strengthN,
        lengthM: bodyM,
        attach: joined('swivel', 'uni'),
      },
      ...letters.flatMap((letter, i) => trappedSnood(letter, ENDS_M + i * SPACING_M, snoodN, wishes)),
      hardware('snap', 'snap', leader.strengthN, joined('body', 'uni')),
      sinker(wishes.sinkerKg, conditions, joined('snap', 'fitted')),
    ])
  },
}

/** Crimp, bead, swivel, bead, crimp along the body, and the snood with its hook on the swivel. */
function trappedSnood(letter: string, atM: number, strengthN: number, wishes: Wishes): Piece[] {
  const [above, below] = [`crimp-${letter}1`, `crimp-${letter}2`]
  const on = (offset: number): Attach => ({ how: 'sliding', on: 'body', atM: atM + offset * TRAP_M, stops: { above, below } })
  const crimped = (offset: number): Attach => ({
    how: 'fixed',
    on: 'body',
    atM: atM + offset * TRAP_M,
    joint: { connection: 'fitted' },
  })
  return [
    { id: above, role: 'hardware', type: 'crimp', attach: crimped(-1) },
    { id: `bead-${letter}1`, role: 'hardware', type: 'bead', attach: on(-0.5) },
    hardware(`boom-${letter}`, 'boom', strengthN, on(0)),
    { id: `bead-${letter}2`, role: 'hardware', type: 'bead', attach: on(0.5) },
    { id: below, role: 'hardware', type: 'crimp', attach: crimped(1) },
    {
      id: `snood-${letter}`,
      role: 'snood',
      material: 'mono',
      strengthN,
      lengthM: SNOOD_M,
      attach: joined(`boom-${letter}`, 'doubleEyeClinch'),
    },
    ...baitedHook(`hook-${letter}`, wishes, `snood-${letter}`),
  ]
}
