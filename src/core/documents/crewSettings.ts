import { z } from 'zod'
import { conditionsSchema } from './conditions.ts'
import { CREW_SETTINGS_VERSION } from './versions.ts'

const {
  startFactor,
  guideFriction,
  guideWrapRad,
  allowedFraction,
  fishSpeedMperS,
  freeboardM,
  dragMeasuredAt,
  wet,
  lineSpread,
  pulledSpread,
} = conditionsSchema.shape

/** The conditions that go with a crew rather than with one trace: what a new trace starts with. */
const conditionDefaults = z.strictObject({
  startFactor: startFactor.unwrap().optional(),
  guideFriction: guideFriction.unwrap().optional(),
  guideWrapRad: guideWrapRad.unwrap().optional(),
  allowedFraction: allowedFraction.unwrap().optional(),
  fishSpeedMperS: fishSpeedMperS.unwrap().optional(),
  freeboardM: freeboardM.unwrap().optional(),
  dragMeasuredAt: dragMeasuredAt.unwrap().optional(),
  wet: wet.unwrap().optional(),
  lineSpread: lineSpread.unwrap().optional(),
  pulledSpread: pulledSpread.unwrap().optional(),
})

/** So many events or cases, more than none. */
const weight = z.number().min(0.01, 'must be over 0').max(10_000)
const rate = z.strictObject({ events: weight, hours: weight })

/** What a crew goes by. There is one of it, so that a change of it is one save. */
export const crewSettingsSchema = z.strictObject({
  formatVersion: z.literal(CREW_SETTINGS_VERSION),
  /** The rule set that findings remind of; absent: none is in force. */
  ruleSetId: z.uuid().optional(),
  conditions: conditionDefaults.default({}),
  /** Days after which a tied trace is to be looked at; absent: as usual. */
  oldAfterDays: z.int().min(7, 'must be at least 7 days').max(3_650).optional(),
  /** How surely the spares of a trip are to be enough; absent: as usual. */
  sparesAssurance: z.number().min(0.5).max(0.99).optional(),
  /** Breaks on the water count in the figures of knots, beside pull tests. */
  fieldBreaks: z.boolean().optional(),
  /** What is thought before anything was logged; absent: as usual. */
  priors: z
    .strictObject({
      losses: rate.optional(),
      fish: rate.optional(),
      share: z.strictObject({ yes: weight, no: weight }).optional(),
    })
    .optional(),
})

export type CrewSettings = z.infer<typeof crewSettingsSchema>

/** The one document of its kind: its id is the same for every crew. */
export const CREW_SETTINGS_ID = '5e771465-0000-4000-8000-000000000001'

export const DEFAULT_CREW_SETTINGS: CrewSettings = { formatVersion: CREW_SETTINGS_VERSION, conditions: {} }
