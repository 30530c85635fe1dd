import { CAST } from './cast.ts'
import { HAND } from './hand.ts'
import type { MomentKind } from './moment.ts'
import { RUN } from './run.ts'
import { SETTLE } from './settle.ts'
import { SNAG } from './snag.ts'
import { TAKE } from './take.ts'

/** The moments of a trip, in its order. A new one is a file of its own and a line here. */
export const MOMENTS = { cast: CAST, settle: SETTLE, take: TAKE, run: RUN, snag: SNAG, hand: HAND }

export type MomentName = keyof typeof MOMENTS
type ResultOf<Kind> = Kind extends MomentKind<infer Result> ? Result : never

/** What one moment says. */
export type ResultNamed<Name extends MomentName> = ResultOf<(typeof MOMENTS)[Name]>
/** What any of them says: a union told apart by `moment`. */
export type AnyResult = { [Name in MomentName]: ResultNamed<Name> }[MomentName]
/** What the moments that were asked say; undefined where one does not apply. */
export type Moments = { [Name in MomentName]?: ResultNamed<Name> | undefined }

export const MOMENT_NAMES = Object.keys(MOMENTS) as readonly MomentName[]
