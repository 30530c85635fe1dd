import type { Catalogue } from '../catalogue/catalogue.ts'
import type { Conditions } from '../documents/conditions.ts'
import type { Outfit } from '../documents/outfit.ts'
import type { Trace } from '../documents/trace.ts'

/** A trace tied to an outfit, with what is known of gear. */
export type Rig = { trace: Trace; outfit: Outfit; catalogue: Catalogue }

/** All that a verdict depends on: a rig, and the conditions it is fished under. Whatever is computed is computed from one. */
export type Setup = Rig & { conditions: Conditions }
