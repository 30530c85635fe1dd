import type { Catalogue } from '../../core/catalogue/catalogue.ts'
import type { Gear, GearKind } from '../../core/documents/gear.ts'
import type { Show } from '../settings/show.ts'
import { headSpec } from './names.ts'

export const GEAR_KIND_NAMES: Record<GearKind, string> = {
  line: 'line',
  hook: 'hook',
  sinker: 'sinker',
  hardware: 'hardware',
  float: 'float',
  lure: 'lure',
  bait: 'bait',
}

/** Several of a kind, as a heading. */
export const GEAR_KIND_PLURALS: Record<GearKind, string> = {
  line: 'Lines',
  hook: 'Hooks',
  sinker: 'Sinkers',
  hardware: 'Hardware',
  float: 'Floats',
  lure: 'Lures',
  bait: 'Baits',
}

/** What a thing is called where nobody named it: its main figure and what it is. */
export function usualName(catalogue: Catalogue, item: Gear, show: Show): string {
  const figure =
    'massKg' in item && item.massKg !== undefined
      ? show.entered('mass', item.massKg)
      : item.kind === 'line'
        ? show.entered('strength', item.strengthN)
        : ''
  return [figure, gearWords(catalogue, item, show) || GEAR_KIND_NAMES[item.kind]].filter(Boolean).join(' ')
}

/** What a piece of gear is, beyond its name and its main figure. */
export function gearWords(catalogue: Catalogue, item: Gear, show: Show): string {
  switch (item.kind) {
    case 'line':
      return [
        catalogue.materials[item.material].name,
        ...(item.diameterM === undefined ? [] : [show.entered('diameter', item.diameterM)]),
        `${show.entered('length', item.lengthM)} spool`,
      ].join(', ')
    case 'hook':
      return [
        `${item.size} ${catalogue.hooks.patterns[item.pattern].name}`,
        ...(item.headKg === undefined ? [] : [headSpec({ headKg: item.headKg, headSwings: item.headSwings }, show)]),
      ].join(', ')
    case 'sinker':
      return [catalogue.sinkers[item.shape].name, ...(item.metal ? [catalogue.sinkerMetals[item.metal].name] : [])].join(', ')
    case 'hardware':
      return [catalogue.hardware[item.type].name, item.size].filter(Boolean).join(' ')
    case 'lure':
    case 'bait':
      return [
        ...(item.kind === 'bait' ? [catalogue.baits[item.bait].name] : []),
        ...(item.lengthM === undefined ? [] : [show.entered('length', item.lengthM)]),
        ...(item.floats ? ['floats'] : []),
        ...(item.kind === 'lure' && item.spins ? ['spins'] : []),
      ].join(', ')
    case 'float':
      return ''
  }
}
