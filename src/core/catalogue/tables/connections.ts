import type { MATERIALS } from './materials.ts'

/** What a connection joins. */
export type Joins =
  | 'line-eye'
  | 'line-shank'
  | 'line-line'
  | 'end-loop'
  | 'doubles'
  | 'loop-loop'
  | 'side-loop'
  | 'stop'
  | 'fixture'
type Material = keyof typeof MATERIALS

type Turns = { usual: number; thin?: { belowM: number; turns: number }; heavy?: { aboveM: number; turns: number } }
/** Turns in most lines, and in braid. */
type TurnsRule = Turns & { braid?: Turns }

/**
 * Metres of line that a connection uses beyond its turns: a fixed handling length, and so many times the loop. Woven, the braid makes
 * the turns and a stiffer line lies straight in them.
 */
type LineUse = { handlingM: number; loops: number; wovenHandlingM?: number }

export type Connection = {
  name: string
  joins: Joins
  /** Share of the strength of the line it is tied in, by that line's material; a material left out is not tied so. */
  efficiency: Partial<Record<Material, number>>
  /** Coefficient of variation of its strength. */
  spread: number
  turns?: TurnsRule
  use: LineUse
  /** The thickest mono or fluorocarbon that a hand draws it down in, m; left out: any. Nominal. */
  closesUpToM?: number
  /** Minutes to tie or fit it, seated and tested, at a table. Ours, for the scenario. */
  minutes: number
  /** Small and smooth enough to be wound through the rod's guides; only said of knots that join line to line. */
  passesGuides?: boolean
  caution?: string
}

const EYE: LineUse = { handlingM: 0.1, loops: 0 }
const JOIN: LineUse = { handlingM: 0.13, loops: 0 }
const WOVEN: LineUse = { handlingM: 0.06, loops: 0, wovenHandlingM: 0.35 }
const LOOP: LineUse = { handlingM: 0.1, loops: 2 }
const NONE: LineUse = { handlingM: 0, loops: 0 }

/** Knots, crimps and splices. Nominal means and spreads of the craft, replaced by the angler's own pull tests. */
// biome-ignore format: a table reads better in rows
export const CONNECTIONS = {
  clinch: { name: 'clinch', joins: 'line-eye', efficiency: { mono: 0.78, fluoro: 0.72, braid: 0.45 }, spread: 0.1, turns: { usual: 6, thin: { belowM: 0.00025, turns: 7 }, heavy: { aboveM: 0.0006, turns: 4 } }, use: EYE, closesUpToM: 0.0012, minutes: 1, caution: 'slips in braid' },
  improvedClinch: { name: 'improved clinch', joins: 'line-eye', efficiency: { mono: 0.84, fluoro: 0.78, braid: 0.55 }, spread: 0.08, turns: { usual: 5, heavy: { aboveM: 0.0006, turns: 4 } }, use: EYE, closesUpToM: 0.0012, minutes: 1 },
  doubleEyeClinch: { name: 'double-eye clinch', joins: 'line-eye', efficiency: { mono: 0.88, fluoro: 0.83, braid: 0.75 }, spread: 0.06, turns: { usual: 5, heavy: { aboveM: 0.0006, turns: 4 } }, use: EYE, closesUpToM: 0.0012, minutes: 1.5 },
  uni: { name: 'uni', joins: 'line-eye', efficiency: { mono: 0.86, fluoro: 0.82, braid: 0.72 }, spread: 0.07, turns: { usual: 5, heavy: { aboveM: 0.0008, turns: 3 } }, use: EYE, closesUpToM: 0.0012, minutes: 1 },
  sanDiegoJam: { name: 'San Diego jam', joins: 'line-eye', efficiency: { mono: 0.87, fluoro: 0.86, braid: 0.8 }, spread: 0.06, turns: { usual: 6 }, use: EYE, closesUpToM: 0.0012, minutes: 1.5 },
  palomar: { name: 'palomar', joins: 'line-eye', efficiency: { mono: 0.9, fluoro: 0.86, braid: 0.88 }, spread: 0.05, use: { handlingM: 0.16, loops: 0 }, closesUpToM: 0.0012, minutes: 1 },
  snell: { name: 'snell', joins: 'line-shank', efficiency: { mono: 0.9, fluoro: 0.88, braid: 0.75 }, spread: 0.05, turns: { usual: 7, heavy: { aboveM: 0.0008, turns: 5 } }, use: { handlingM: 0.14, loops: 0 }, minutes: 1.5 },
  figureEightEye: { name: 'figure-eight to an eye', joins: 'line-eye', efficiency: { mono: 0.74, fluoro: 0.7, braid: 0.6, cable: 0.75 }, spread: 0.09, turns: { usual: 2 }, use: EYE, minutes: 0.5 },
  nonSlipLoop: { name: 'non-slip loop', joins: 'line-eye', efficiency: { mono: 0.85, fluoro: 0.82, braid: 0.78 }, spread: 0.07, turns: { usual: 5, heavy: { aboveM: 0.0008, turns: 3 }, braid: { usual: 7 } }, use: EYE, minutes: 1.5 },
  perfectionLoop: { name: 'perfection loop', joins: 'end-loop', efficiency: { mono: 0.7, fluoro: 0.66, braid: 0.5 }, spread: 0.09, use: LOOP, closesUpToM: 0.0012, minutes: 1 },
  surgeonsLoop: { name: 'surgeon’s loop', joins: 'end-loop', efficiency: { mono: 0.72, fluoro: 0.68, braid: 0.6 }, spread: 0.09, turns: { usual: 2 }, use: LOOP, closesUpToM: 0.0012, minutes: 0.5 },
  bowline: { name: 'bowline', joins: 'end-loop', efficiency: { mono: 0.62, fluoro: 0.58, cord: 0.65 }, spread: 0.12, use: LOOP, minutes: 0.5, caution: 'slips in braid' },
  twoHalfHitches: { name: 'two half hitches', joins: 'line-eye', efficiency: { cord: 0.65 }, spread: 0.1, use: EYE, minutes: 0.5 },
  surgeonsJoin: { name: 'surgeon’s join', joins: 'line-line', efficiency: { mono: 0.8, fluoro: 0.78, braid: 0.7 }, spread: 0.08, turns: { usual: 3 }, use: JOIN, minutes: 1 },
  doubleUni: { name: 'double uni', joins: 'line-line', efficiency: { mono: 0.82, fluoro: 0.78, braid: 0.72 }, spread: 0.08, turns: { usual: 5, braid: { usual: 8 } }, use: JOIN, minutes: 2, passesGuides: true },
  blood: { name: 'blood', joins: 'line-line', efficiency: { mono: 0.8, fluoro: 0.76, braid: 0.55 }, spread: 0.09, turns: { usual: 5 }, use: JOIN, minutes: 2, passesGuides: true, caution: 'only for lines of like diameter' },
  albright: { name: 'albright', joins: 'line-line', efficiency: { mono: 0.76, fluoro: 0.74, braid: 0.72, wire: 0.9, cable: 0.9 }, spread: 0.1, turns: { usual: 11 }, use: JOIN, minutes: 2.5, passesGuides: true },
  fg: { name: 'FG (woven)', joins: 'line-line', efficiency: { mono: 0.95, fluoro: 0.94, braid: 0.92 }, spread: 0.04, turns: { usual: 22 }, use: WOVEN, minutes: 6, passesGuides: true },
  pr: { name: 'PR (bobbin-wrapped)', joins: 'line-line', efficiency: { mono: 0.96, fluoro: 0.96, braid: 0.96 }, spread: 0.03, turns: { usual: 30 }, use: WOVEN, minutes: 8, passesGuides: true },
  modifiedAlbright: { name: 'modified albright', joins: 'line-line', efficiency: { mono: 0.84, fluoro: 0.82, braid: 0.82 }, spread: 0.07, turns: { usual: 14 }, use: JOIN, minutes: 2.5, passesGuides: true },
  figureEightJoin: { name: 'figure-eight join', joins: 'line-line', efficiency: { mono: 0.72, fluoro: 0.7, braid: 0.6 }, spread: 0.09, turns: { usual: 2 }, use: JOIN, minutes: 1 },
  bimini: { name: 'bimini twist', joins: 'doubles', efficiency: { mono: 0.97, fluoro: 0.95, braid: 0.95 }, spread: 0.03, turns: { usual: 20, heavy: { aboveM: 0.0008, turns: 15 }, braid: { usual: 20, thin: { belowM: 0.00025, turns: 30 }, heavy: { aboveM: 0.0004, turns: 15 } } }, use: { handlingM: 0.35, loops: 2 }, minutes: 5, passesGuides: true, caution: 'braid cuts: use shoes or gloves for long doubles' },
  spiderHitch: { name: 'spider hitch', joins: 'doubles', efficiency: { mono: 0.86, fluoro: 0.8, braid: 0.75 }, spread: 0.1, turns: { usual: 5 }, use: { handlingM: 0.2, loops: 2 }, minutes: 1 },
  catsPaw: { name: 'cat’s paw', joins: 'loop-loop', efficiency: { mono: 0.97, fluoro: 0.95, braid: 0.96 }, spread: 0.03, turns: { usual: 5 }, use: NONE, minutes: 1, passesGuides: true },
  girthHitch: { name: 'girth hitch', joins: 'loop-loop', efficiency: { mono: 0.9, fluoro: 0.88, braid: 0.85, cord: 0.85 }, spread: 0.06, turns: { usual: 1 }, use: NONE, minutes: 0.5 },
  dropperLoop: { name: 'dropper loop', joins: 'side-loop', efficiency: { mono: 0.68, fluoro: 0.64, braid: 0.5 }, spread: 0.1, turns: { usual: 6 }, use: { handlingM: 0.12, loops: 2 }, minutes: 2 },
  stopKnotOwn: { name: 'stop knot in the line itself', joins: 'stop', efficiency: { mono: 0.75, fluoro: 0.72 }, spread: 0.09, turns: { usual: 3 }, use: { handlingM: 0.05, loops: 0 }, minutes: 1 },
  splice: { name: 'splice', joins: 'end-loop', efficiency: { braid: 0.95 }, spread: 0.03, use: { handlingM: 0.45, loops: 1 }, minutes: 10, caution: 'hollow braid only' },
  crimpLoop: { name: 'double-sleeve crimp', joins: 'line-eye', efficiency: { mono: 0.93, fluoro: 0.92, cable: 0.9 }, spread: 0.04, use: { handlingM: 0.05, loops: 2 }, minutes: 1, caution: 'sleeve matched to the line, ends flared' },
  haywire: { name: 'haywire twist', joins: 'line-eye', efficiency: { wire: 0.93 }, spread: 0.04, turns: { usual: 10 }, use: EYE, minutes: 2, caution: 'break the cut end off by bending: it pricks' },
  fitted: { name: 'fitted', joins: 'fixture', efficiency: {}, spread: 0, use: NONE, minutes: 0.2 },
  runsOn: { name: 'runs on', joins: 'fixture', efficiency: {}, spread: 0, use: NONE, minutes: 0 },
} as const satisfies Record<string, Connection>
