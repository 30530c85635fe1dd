/** Barrel swivels: size and strength (N), smallest first. Size numbers fall as swivels grow. Nominal. */
const BARREL_N = [
  ['12', 90],
  ['10', 160],
  ['8', 220],
  ['7', 270],
  ['6', 330],
  ['5', 400],
  ['4', 500],
  ['2', 750],
  ['1', 900],
  ['1/0', 1200],
] as const

const RINGS_N = [
  ['6 mm', 150],
  ['8 mm', 300],
  ['10 mm', 600],
] as const

/** A short stiff wire bent to an eye at each end, by its thickness. Nominal, ours: a bent eye bears about half of the wire. */
const STIFF_WIRE_N = [
  ['0.8 mm', 350],
  ['1.0 mm', 550],
  ['1.2 mm', 800],
] as const

/** A loop of thread whipped round a line, by the turns of its whipping. Nominal, ours. */
const THREAD_N = [
  ['20 turns', 150],
  ['40 turns', 300],
  ['60 turns', 450],
] as const

export type HardwareSize = { size: string; strengthN: number }

const scaled = (table: readonly (readonly [string, number])[], factor: number): HardwareSize[] =>
  table.map(([size, strengthN]) => ({ size, strengthN: Math.round(strengthN * factor) }))

export type HardwareItem = {
  name: string
  /** Sizes with their strength; empty where the part carries no pull of its own (a bead, a loop, a crimp that stops). */
  sizes: HardwareSize[]
  spread: number
  /** Of the middle one of its sizes. */
  massKg: number
  unitCost: number
  /** Sold by the strength on its label rather than by a size. */
  byLabel?: boolean
}

/** Hardware: strength relative to the barrel swivel of the same size. Nominal; masses and unit costs ours, for the scenario. */
export const HARDWARE = {
  swivel: { name: 'swivel', sizes: scaled(BARREL_N, 1), spread: 0.05, massKg: 0.001, unitCost: 0.15 },
  rollingSwivel: { name: 'rolling swivel', sizes: scaled(BARREL_N, 1.2), spread: 0.05, massKg: 0.001, unitCost: 0.25 },
  ballBearingSwivel: {
    name: 'ball-bearing swivel',
    sizes: scaled(BARREL_N, 1.2),
    spread: 0.05,
    massKg: 0.0015,
    unitCost: 1.2,
    byLabel: true,
  },
  threeWay: { name: 'three-way swivel', sizes: scaled(BARREL_N, 0.7), spread: 0.05, massKg: 0.002, unitCost: 0.5 },
  snap: { name: 'snap', sizes: scaled(BARREL_N, 0.65), spread: 0.08, massKg: 0.001, unitCost: 0.3 },
  snapSwivel: { name: 'snap swivel', sizes: scaled(BARREL_N, 0.65), spread: 0.08, massKg: 0.002, unitCost: 0.45 },
  splitRing: { name: 'split ring', sizes: scaled(RINGS_N, 1), spread: 0.06, massKg: 0.0005, unitCost: 0.15 },
  solidRing: { name: 'solid ring', sizes: scaled(RINGS_N, 2), spread: 0.05, massKg: 0.0005, unitCost: 0.25 },
  boom: { name: 'boom', sizes: scaled(BARREL_N, 0.8), spread: 0.08, massKg: 0.003, unitCost: 0.4 },
  slider: { name: 'running link', sizes: scaled(BARREL_N, 0.8), spread: 0.08, massKg: 0.003, unitCost: 0.4 },
  pulleyBead: { name: 'pulley bead', sizes: scaled(BARREL_N, 1), spread: 0.08, massKg: 0.002, unitCost: 0.5 },
  clipRing: { name: 'clip ring', sizes: scaled(BARREL_N, 0.8), spread: 0.08, massKg: 0.002, unitCost: 0.6 },
  eyedWire: { name: 'wire with two eyes', sizes: scaled(STIFF_WIRE_N, 1), spread: 0.05, massKg: 0.001, unitCost: 0.3 },
  whippedLoop: { name: 'whipped loop', sizes: scaled(THREAD_N, 1), spread: 0.12, massKg: 0.0002, unitCost: 0.05 },
  bead: { name: 'bead', sizes: [], spread: 0, massKg: 0.0003, unitCost: 0.03 },
  crimp: { name: 'crimp', sizes: [], spread: 0, massKg: 0.0003, unitCost: 0.05 },
  stopKnot: { name: 'stop knot', sizes: [], spread: 0, massKg: 0, unitCost: 0 },
  loop: { name: 'loop', sizes: [], spread: 0, massKg: 0, unitCost: 0 },
  baitClip: { name: 'bait clip', sizes: [], spread: 0, massKg: 0.001, unitCost: 0.35 },
  rubberStop: { name: 'rubber stop', sizes: [], spread: 0, massKg: 0.0001, unitCost: 0.05 },
  sleeve: { name: 'sleeve', sizes: [], spread: 0, massKg: 0.0003, unitCost: 0.1 },
  tube: { name: 'tube', sizes: [], spread: 0, massKg: 0.0005, unitCost: 0.1 },
  breakBand: { name: 'breakable band', sizes: [], spread: 0, massKg: 0.0002, unitCost: 0.02 },
} as const satisfies Record<string, HardwareItem>
