import { z } from 'zod'

const timeMs = z.number()
const heightPoint = z.object({ timeMs, heightM: z.number() })

/** A stretch of time that is asked about. */
export const spanQuery = z
  .object({ from: z.iso.datetime({ offset: true }), to: z.iso.datetime({ offset: true }) })
  .refine(({ from, to }) => Date.parse(to) > Date.parse(from), { path: ['to'], message: 'must come after “from”' })
  .refine(({ from, to }) => Date.parse(to) - Date.parse(from) <= 40 * 86_400_000, { path: ['to'], message: 'is over 40 days on' })

/** A port that tides are predicted for. */
export const portsBody = z.array(
  z.object({ id: z.string(), name: z.string(), latitudeDeg: z.number(), longitudeDeg: z.number() }),
)
export type Port = z.infer<typeof portsBody>[number]

/** A port's tide over a stretch of time; its high and low waters from weeks before to weeks after, for springs and neaps. */
export const tideBody = z.object({
  heights: z.array(heightPoint),
  turns: z.array(heightPoint.extend({ kind: z.enum(['high', 'low']) })),
  springRangeM: z.number(),
  neapRangeM: z.number(),
})

/** Wind by the hour. */
export const windBody = z.array(z.object({ timeMs, speedMperS: z.number().nonnegative(), fromDeg: z.number() }))
