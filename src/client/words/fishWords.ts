import type { Fish } from '../../core/documents/fish.ts'

export const TEETH_WORDS: Record<Fish['teeth'], string> = { none: 'no teeth', rasping: 'rasping', cutting: 'cutting' }
export const FEEDS_WORDS: Record<Fish['feeds'], string> = {
  bed: 'on the bottom',
  rough: 'on rough ground',
  midwater: 'in mid-water',
  surface: 'near the surface',
}
export const TAKES_WORDS: Record<Fish['takes'], string> = { sucks: 'sucks it in', bites: 'bites across', picks: 'picks at it' }
export const FIGHTS_WORDS: Record<Fish['fights'][number], string> = {
  runs: 'runs',
  dives: 'dives to the bottom',
  shakes: 'shakes its head',
  withStream: 'runs with the current',
  tail: 'its tail reaches the line',
}
export const TRAITS = {
  shakesCircles: 'may throw circle hooks',
  lineShy: 'shy of line in clear water',
  released: 'usually released',
} as const satisfies Partial<Record<keyof Fish, string>>

/** What is said of a fish beside its figures, in short. */
export const traitsOf = (fish: Fish): string =>
  [
    TAKES_WORDS[fish.takes],
    ...fish.fights.map((fight) => FIGHTS_WORDS[fight]),
    ...(Object.keys(TRAITS) as (keyof typeof TRAITS)[]).flatMap((trait) => (fish[trait] ? [TRAITS[trait]] : [])),
  ].join(', ')
