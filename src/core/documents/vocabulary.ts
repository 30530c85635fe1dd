/** The fixed words of traces and outfits, for the schemas and for whatever reads what they parse. */
export const MOST_PIECES = 200
export const MOST_TAGS = 12

/** The free end of the outfit's line, as a place to attach to. */
export const OUTFIT = 'outfit'
export const LINE_ROLES = ['double', 'leader', 'body', 'snood', 'sinkerLink', 'biteTrace'] as const
export const WOUND_ROLES = ['backing', 'main', 'topShot'] as const
export type WoundRole = (typeof WOUND_ROLES)[number]
