import { addCounts, COUNTED, type Counted, type Counts, type Dimension, noCounts } from './counts.ts'
import type { ChainLink, Tally } from './tripTally.ts'

/** Where something was seen: trips, by their place in `Sums.trips`. */
type Seen = { trips: number[] }

export type CountsBy = Seen & { by: Dimension; value: string; counts: Counts }
/** Events of one predicted chance, and how many of them happened. */
export type PredictedSum = { chance: number; of: number; happened: number }
export type BreakSum = Seen & PredictedSum & { kind: string }
export type HoldSum = Seen & PredictedSum & { markId: string }
/** Breaks of one chain, counted by the link that went first. */
export type ChainSum = { links: ChainLink[]; first: { at: number; times: number }[] }

/** What many trips counted, added up. */
export type Sums = {
  trips: { id: string; name: string; date: string }[]
  counts: CountsBy[]
  breaks: BreakSum[]
  chains: ChainSum[]
  holds: HoldSum[]
  hooked: { hook: string; lip: number; deep: number; foul: number }[]
  unseen: number
  notPredicted: number
}

const hasEvents = (counts: Counts): boolean => COUNTED.some((each: Counted) => counts[each] > 0)

/** Adds up what trips counted, in their order. */
export function addUp(tallies: readonly { trip: Sums['trips'][number]; tally: Tally }[]): Sums {
  const counts = new Map<string, CountsBy>()
  const breaks = new Map<string, BreakSum>()
  const holds = new Map<string, HoldSum>()
  const chains = new Map<string, ChainSum>()
  const hooked = new Map<string, Sums['hooked'][number]>()
  let [unseen, notPredicted] = [0, 0]
  const saw = ({ trips }: Seen, i: number) => {
    if (trips.at(-1) !== i) trips.push(i)
  }
  for (const [i, { tally }] of tallies.entries()) {
    for (const { by, value, counts: more } of tally.counts) {
      const sum = found(counts, `${by} ${value}`, () => ({ by, value, counts: noCounts(), trips: [] }))
      addCounts(sum.counts, more)
      if (hasEvents(more)) saw(sum, i)
    }
    for (const { kind, chance, happened } of tally.breaks) {
      const sum = found(breaks, `${kind} ${chance}`, () => ({ kind, chance, of: 0, happened: 0, trips: [] }))
      sum.of += 1
      if (!happened) continue
      sum.happened += 1
      saw(sum, i)
    }
    for (const { markId, chance, held } of tally.holds) {
      const sum = found(holds, `${markId} ${chance}`, () => ({ markId, chance, of: 0, happened: 0, trips: [] }))
      sum.of += 1
      sum.happened += held ? 1 : 0
      saw(sum, i)
    }
    for (const { links, first } of tally.chains) {
      const sum = found(chains, JSON.stringify(links), () => ({ links, first: [] }))
      const times = sum.first.find(({ at }) => at === first)
      if (times) times.times += 1
      else sum.first.push({ at: first, times: 1 })
    }
    for (const { hook, where } of tally.hooked) found(hooked, hook, () => ({ hook, lip: 0, deep: 0, foul: 0 }))[where] += 1
    unseen += tally.unseen
    notPredicted += tally.notPredicted
  }
  return {
    trips: tallies.map(({ trip }) => trip),
    counts: [...counts.values()],
    breaks: [...breaks.values()],
    chains: [...chains.values()],
    holds: [...holds.values()],
    hooked: [...hooked.values()],
    unseen,
    notPredicted,
  }
}

function found<T>(among: Map<string, T>, key: string, make: () => T): T {
  const known = among.get(key)
  if (known !== undefined) return known
  const made = make()
  among.set(key, made)
  return made
}
