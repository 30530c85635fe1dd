/** What is counted of a trip, beside the hours that each rod was out. */
export const COUNTED = ['casts', 'bites', 'missed', 'fish', 'snags', 'sinkersLost', 'tracesLost'] as const
export type Counted = (typeof COUNTED)[number]
/** `cost`: what was lost, in units of money; `saved`: what a weak link kept from being lost with it. */
export type Counts = { hours: number; cost: number; saved: number } & Record<Counted, number>

/** By what the counts are told apart. */
export const DIMENSIONS = ['all', 'mark', 'bed', 'family', 'trace', 'hook', 'bait', 'tide', 'light', 'moon', 'change'] as const
export type Dimension = (typeof DIMENSIONS)[number]

export const noCounts = (): Counts => ({
  hours: 0,
  cost: 0,
  saved: 0,
  casts: 0,
  bites: 0,
  missed: 0,
  fish: 0,
  snags: 0,
  sinkersLost: 0,
  tracesLost: 0,
})

export function addCounts(to: Counts, more: Partial<Counts>): void {
  for (const each of ['hours', 'cost', 'saved', ...COUNTED] as const) to[each] += more[each] ?? 0
}
