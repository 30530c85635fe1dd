import type { Material, SinkerShape } from '../../core/catalogue/ids.ts'
import type { Gear } from '../../core/documents/gear.ts'
import { GEAR_VERSION } from '../../core/documents/versions.ts'
import { LB } from '../../core/units/quantities.ts'

const sinkers = (shape: SinkerShape, where: string, grams: readonly number[]): Gear[] =>
  grams.map((mass) => ({ formatVersion: GEAR_VERSION, kind: 'sinker', name: `${where} ${mass} g`, shape, massKg: mass / 1000 }))

const spools = (material: Material, rows: readonly (readonly [number, number])[]): Gear[] =>
  rows.map(([lb, lengthM]) => ({
    formatVersion: GEAR_VERSION,
    kind: 'line',
    name: `${material} ${lb} lb`,
    material,
    strengthN: lb * LB,
    lengthM,
  }))

/** What the scenario's crew owns. */
export const DEMO_GEAR: readonly Gear[] = [
  ...sinkers('bomb', 'shore', [30, 60, 90, 120, 150, 175]),
  ...sinkers('gripWire', 'wired', [125, 150, 175]),
  ...sinkers('pear', 'boat', [115, 170, 230, 340, 450, 680, 900, 1360]),
  ...spools('mono', [
    [20, 100],
    [30, 100],
    [40, 100],
    [50, 100],
    [60, 100],
    [80, 50],
  ]),
  ...spools('fluoro', [
    [15, 50],
    [25, 50],
    [40, 50],
    [60, 30],
  ]),
  ...spools('braid', [
    [30, 300],
    [50, 300],
    [80, 600],
  ]),
  ...(['1', '1/0', '2/0', '3/0', '6/0', '8/0'] as const).map(
    (size): Gear => ({ formatVersion: GEAR_VERSION, kind: 'hook', name: `circle ${size}`, pattern: 'circle', size }),
  ),
  ...(['8', '6', '4', '2'] as const).map(
    (size): Gear => ({ formatVersion: GEAR_VERSION, kind: 'hardware', name: `swivel ${size}`, type: 'swivel', size }),
  ),
]
