import type { Material, SinkerShape } from '../../core/catalogue/ids.ts'
import type { Gear } from '../../core/documents/gear.ts'
import { GEAR_VERSION } from '../../core/documents/versions.ts'
import { LB } from '../../core/units/quantities.ts'

/** What the scenario's crew owns of a thing: how many pieces, or the metres on each spool; absent: nobody counted it. */
export type DemoItem = { gear: Gear; onHand?: readonly number[] }

const sinkers = (shape: SinkerShape, where: string, grams: readonly number[]): DemoItem[] =>
  grams.map((mass, i) => ({
    gear: {
      formatVersion: GEAR_VERSION,
      kind: 'sinker',
      name: `${where} ${mass} g`,
      shape,
      massKg: mass / 1000,
      minimumCount: 4,
      packCount: 1,
      packCost: Math.round(40 + mass * 0.6) / 100,
      keptIn: 'sinker tray',
    },
    onHand: [Math.max(1, 12 - 2 * i)],
  }))

/** A spool: strength in pounds, metres when full, cost, and what is left on each that is owned. */
type SpoolRow = readonly [lb: number, lengthM: number, cost: number, onHand: readonly number[]]

const spools = (material: Material, rows: readonly SpoolRow[]): DemoItem[] =>
  rows.map(([lb, lengthM, packCost, onHand]) => ({
    gear: {
      formatVersion: GEAR_VERSION,
      kind: 'line',
      name: `${material} ${lb} lb`,
      material,
      strengthN: lb * LB,
      lengthM,
      minimumM: 10,
      packCost,
      keptIn: 'line bag',
    },
    onHand,
  }))

/** Small parts in packs, of which ten are to be kept. */
const packed = (packCount: number, packCost: number, keptIn: string) => ({
  packCount,
  packCost,
  keptIn,
  minimumCount: 10,
})
const counted = (pieces?: number) => (pieces === undefined ? {} : { onHand: [pieces] })

/** What the scenario's crew owns. The smallest hooks and swivels were never counted. */
export const DEMO_ITEMS: readonly DemoItem[] = [
  ...sinkers('bomb', 'shore', [30, 60, 90, 120, 150, 175]),
  ...sinkers('gripWire', 'wired', [125, 150, 175]),
  ...sinkers('pear', 'boat', [115, 170, 230, 340, 450, 680, 900, 1360]),
  ...spools('mono', [
    [20, 100, 4, [100, 8.4]],
    [30, 100, 4.5, [62]],
    [40, 100, 5, [7.5, 3.2]],
    [50, 100, 5.5, [100]],
    [60, 100, 6, [88]],
    [80, 50, 6, [41]],
  ]),
  ...spools('fluoro', [
    [15, 50, 12, [50]],
    [25, 50, 14, [23.6, 9.1]],
    [40, 50, 18, [6]],
    [60, 30, 16, [30]],
  ]),
  ...spools('braid', [
    [30, 300, 30, [300]],
    [50, 300, 34, [120]],
    [80, 600, 70, [600]],
  ]),
  ...(
    [
      ['1', undefined],
      ['1/0', 34],
      ['2/0', 46],
      ['3/0', 9],
      ['6/0', 25],
      ['8/0', 12],
    ] as const
  ).map(
    ([size, owned]): DemoItem => ({
      gear: {
        formatVersion: GEAR_VERSION,
        ...packed(25, 6, 'hook box'),
        kind: 'hook',
        name: `circle ${size}`,
        pattern: 'circle',
        size,
      },
      ...counted(owned),
    }),
  ),
  ...(
    [
      ['8', undefined],
      ['6', 40],
      ['4', 6],
      ['2', 18],
    ] as const
  ).map(
    ([size, owned]): DemoItem => ({
      gear: {
        formatVersion: GEAR_VERSION,
        ...packed(20, 3, 'swivel tin'),
        kind: 'hardware',
        name: `swivel ${size}`,
        type: 'swivel',
        size,
      },
      ...counted(owned),
    }),
  ),
]

export const DEMO_GEAR: readonly Gear[] = DEMO_ITEMS.map(({ gear }) => gear)
