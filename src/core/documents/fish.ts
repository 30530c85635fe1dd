import { z } from 'zod'
import { documentName, notes } from './fields.ts'
import { FISH_VERSION } from './versions.ts'

export const TEETH = ['none', 'rasping', 'cutting'] as const
export const FEEDS = ['bed', 'rough', 'midwater', 'surface'] as const
export const TAKES = ['sucks', 'bites', 'picks'] as const
export const FIGHTS = ['runs', 'dives', 'shakes', 'withStream', 'tail'] as const

const massKg = z.number().min(0.001, 'is too small').max(1_000, 'is over 1000 kg')
const lengthM = z.number().min(0.02, 'is too small').max(10, 'is over 10 m')
const share = z.number().min(0.01, 'is under 1 %').max(0.5, 'is over 50 %')

/** What decides of a fish how it is fished for. */
const targetFields = {
  name: documentName,
  typicalMassKg: massKg,
  typicalLengthM: lengthM,
  largeLengthM: lengthM,
  teeth: z.enum(TEETH),
  feeds: z.enum(FEEDS),
  takes: z.enum(TAKES),
  /** How it fights; `tail`: its tail reaches the line. */
  fights: z.array(z.enum(FIGHTS)).max(FIGHTS.length, { abort: true }),
  /** Said to shake circles out. */
  shakesCircles: z.boolean(),
  /** Shy of line in clear water. */
  lineShy: z.boolean(),
  /** Put back as a rule. */
  released: z.boolean(),
}

/** The fish that a trace is for, as it was known when it was chosen. */
export const targetSchema = z.strictObject(targetFields)

/** A fish that is fished for: how large, its mouth, how it takes and fights, and what is done with it. */
export const fishSchema = z
  .strictObject({
    formatVersion: z.literal(FISH_VERSION),
    ...targetFields,
    largeMassKg: massKg,
    /** Of the mouth, over the fish’s length. */
    mouthWidthShare: share,
    mouthHeightShare: share,
    /** Spines, teeth and gill covers to mind, and whatever else. */
    notes: notes.optional(),
  })
  .superRefine((fish, context) => {
    for (const [large, typical] of [
      ['largeMassKg', 'typicalMassKg'],
      ['largeLengthM', 'typicalLengthM'],
    ] as const)
      if (fish[large] < fish[typical])
        context.addIssue({ code: 'custom', path: [large], message: 'must not be smaller than the usual one' })
  })

export type Fish = z.infer<typeof fishSchema>
export type Target = z.infer<typeof targetSchema>
