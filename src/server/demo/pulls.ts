import type { ConnectionId, Material } from '../../core/catalogue/ids.ts'
import type { Pull, StraightPull } from '../../core/documents/observation.ts'
import { LB } from '../../core/units/quantities.ts'
import { demoId } from './demoId.ts'

/** A winter’s evenings at the table: shares of the line that samples of each knot bore, and what became of the odd ones. */
const EVENINGS: readonly {
  at: string
  connection: ConnectionId
  material: Material
  turns?: number
  lineLb: number
  shares: readonly number[]
  odd?: readonly { share: number; parted: Pull['parted']; discarded?: string }[]
}[] = [
  {
    ...{ at: '2026-01-14T19:30:00.000Z', connection: 'improvedClinch', material: 'mono', turns: 5, lineLb: 30 },
    shares: [0.79, 0.83, 0.77, 0.86, 0.81, 0.84],
    odd: [
      { share: 0.55, parted: 'slipped' },
      { share: 0.48, parted: 'knot', discarded: 'the line was nicked' },
    ],
  },
  {
    ...{ at: '2026-01-14T20:40:00.000Z', connection: 'figureEightEye', material: 'mono', turns: 2, lineLb: 30 },
    shares: [0.73, 0.7, 0.78, 0.72],
  },
  {
    ...{ at: '2026-01-28T19:10:00.000Z', connection: 'palomar', material: 'braid', lineLb: 30 },
    shares: [0.86, 0.9, 0.84, 0.88, 0.91, 0.87],
    odd: [{ share: 0.62, parted: 'slipped' }],
  },
  {
    ...{ at: '2026-02-04T19:20:00.000Z', connection: 'fg', material: 'braid', turns: 22, lineLb: 50 },
    shares: [0.9, 0.93, 0.88, 0.94, 0.91, 0.9],
  },
  {
    ...{ at: '2026-02-18T19:45:00.000Z', connection: 'surgeonsLoop', material: 'mono', turns: 2, lineLb: 30 },
    shares: [0.74, 0.69, 0.77, 0.71, 0.58, 0.73],
  },
  {
    ...{ at: '2026-03-04T19:30:00.000Z', connection: 'snell', material: 'mono', turns: 7, lineLb: 40 },
    shares: [0.91, 0.89, 0.93, 0.88, 0.9],
  },
]

/** What the spool of the samples broke at without a knot. */
const SPOOL = { name: 'mono 30 lb', labelLb: 30, lb: [32.1, 33.4, 31.8, 33] }

/** The crew’s forty pulls. */
export function demoPulls(): (Pull | StraightPull)[] {
  const knots = EVENINGS.flatMap(({ shares, odd = [], lineLb, ...evening }) => {
    const pulled = [...shares.map((share) => ({ share, parted: 'knot' as const })), ...odd]
    return pulled.map(({ share, ...more }, i): Pull => {
      const lineN = lineLb * LB
      const id = demoId(`pull ${evening.at} ${i}`)
      return { formatVersion: 1, kind: 'pull', id, ...evening, lineN, loadN: share * lineN, wet: false, ...more }
    })
  })
  const straights = SPOOL.lb.map((lb, i): StraightPull => {
    const id = demoId(`straight pull ${i}`)
    const common = { formatVersion: 1, kind: 'straight', id, at: '2026-01-14T18:50:00.000Z', material: 'mono' } as const
    return { ...common, spoolId: demoId(SPOOL.name), labelN: SPOOL.labelLb * LB, loadN: lb * LB, wet: false }
  })
  return [...knots, ...straights]
}
