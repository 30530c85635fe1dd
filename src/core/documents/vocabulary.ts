/** The fixed words of traces and outfits, for the schemas and for whatever reads what they parse. */
export const MAX_PIECES = 200
export const MAX_TAGS = 12
/** Lengths of text, in code points. */
export const MAX_NAME = 80
export const MAX_NOTES = 4_000
export const MAX_TAG = 24
/** How large a finding’s figure is written down as. */
export const MAX_FIGURE = 1e9

/** The free end of the outfit's line, as a place to attach to. */
export const OUTFIT = 'outfit'
export const LINE_ROLES = ['double', 'leader', 'body', 'snood', 'sinkerLink', 'biteTrace'] as const
export const WOUND_ROLES = ['backing', 'main', 'topShot'] as const
export type WoundRole = (typeof WOUND_ROLES)[number]
