import { z } from 'zod'
import { COUNTED, type Counts, DIMENSIONS } from '../core/lessons/counts.ts'
import type { Sums } from '../core/lessons/sums.ts'

/** The sums of a crew’s trips, and how many trips are not counted yet: the next answer has more of them. */
export type LearnedSums = Sums & { waiting: number }

/** Which trip is left out. */
export const sumsQuery = z.object({ without: z.uuid().optional() })

const number = z.number()
const trips = z.array(number)
const predicted = { chance: number, of: number, happened: number }
const counts: z.ZodType<Counts> = z.object({
  hours: number,
  cost: number,
  saved: number,
  ...(Object.fromEntries(COUNTED.map((each) => [each, number])) as Record<(typeof COUNTED)[number], typeof number>),
})
const failing = z.union([
  z.object({ id: z.string(), meanN: number, variation: number }),
  z.object({ id: z.string(), line: z.string(), efficiency: number, variation: number }),
])

export const learnedSums: z.ZodType<LearnedSums> = z.object({
  trips: z.array(z.object({ id: z.string(), name: z.string(), date: z.string() })),
  counts: z.array(z.object({ by: z.enum(DIMENSIONS), value: z.string(), counts, trips })),
  breaks: z.array(z.object({ kind: z.string(), ...predicted, trips })),
  chains: z.array(
    z.object({
      links: z.array(z.object({ kind: z.string(), failing: z.array(failing) })),
      first: z.array(z.object({ at: number, times: number })),
    }),
  ),
  holds: z.array(z.object({ markId: z.string(), ...predicted, trips })),
  hooked: z.array(z.object({ hook: z.string(), lip: number, deep: number, foul: number })),
  unseen: number,
  notPredicted: number,
  waiting: number,
})
