import { KNOT_FACTS, type KnotId } from './facts.ts'

/** Twists of a haywire before its barrel wraps. */
const TWISTS = 4

/** The steps of a knot in words, with so many turns. */
export const stepWords = (id: KnotId, turns: number): string[] =>
  KNOT_FACTS[id].steps.map((step) =>
    step.replace('{turns}', String(turns)).replace('{barrels}', String(Math.max(1, turns - TWISTS))),
  )
