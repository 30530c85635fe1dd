import { expect, test } from 'vitest'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { show } from '../../../tests/fixtures/show.ts'
import type { Gear } from '../../core/documents/gear.ts'
import { GEAR_VERSION } from '../../core/documents/versions.ts'
import { gearWords } from './gearWords.ts'

const common = { formatVersion: GEAR_VERSION, name: 'x' } as const

test.each<[Gear, string]>([
  [{ ...common, kind: 'line', material: 'braid', strengthN: 100, lengthM: 300 }, 'braid, 300 m spool'],
  [{ ...common, kind: 'line', material: 'mono', strengthN: 100, diameterM: 0.0004, lengthM: 100 }, 'mono, 0.4 mm, 100 m spool'],
  [{ ...common, kind: 'hook', pattern: 'circle', size: '2/0' }, '2/0 circle'],
  [{ ...common, kind: 'sinker', shape: 'bomb', massKg: 0.1 }, 'bomb'],
  [{ ...common, kind: 'sinker', shape: 'ball', massKg: 0.1, metal: 'tungsten' }, 'ball, tungsten'],
  [{ ...common, kind: 'hardware', type: 'bead' }, 'bead'],
  [{ ...common, kind: 'hardware', type: 'swivel', size: '4' }, 'swivel 4'],
  [{ ...common, kind: 'lure', massKg: 0.03, spins: true }, 'spins'],
  [{ ...common, kind: 'bait', bait: 'wholePouting', lengthM: 0.14 }, 'whole pouting, 0.14 m'],
  [{ ...common, kind: 'float', massKg: 0.03 }, ''],
])('%o is “%s”', (item, words) => expect(gearWords(catalogue, item, show)).toBe(words))
