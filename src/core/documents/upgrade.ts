import { FAMILY_IDS, OWN_DESIGN } from '../catalogue/familyIds.ts'
import { MAX_TAG, MAX_TAGS } from './vocabulary.ts'

/** A document as it was read, before its schema has seen it. */
type Raw = Readonly<Record<string, unknown>>
type Step = (old: Raw) => Raw

const isRaw = (value: unknown): value is Raw => typeof value === 'object' && value !== null && !Array.isArray(value)

/** From version 1 to 2, from 2 to 3 …: what each kind’s later formats made of the one before. A kind that never changed needs no row. */
const STEPS = {
  // Later versions only say more: how a trace fishes, a spool that was pulled, what a lure is rated for.
  trace: [traceToV2, (old) => old, (old) => old],
  // How a rod bends, radii that are estimated, knots that double a line; marks on it.
  outfit: [outfitToV2, (old) => old, (old) => old, (old) => old],
  // The spread of lines; how the rod is held, and how the line moves.
  conditions: [(old) => old, (old) => old, (old) => old],
  // A mark may do without a position and a port, and says where its current comes from.
  mark: [markToV2, (old) => old],
  ruleSet: [ruleSetToV2],
  // Last: what is kept of it, what it costs, and where it is.
  gear: [(old) => old, (old) => old, (old) => old, (old) => old],
  // Since then: when a tied trace is old, how sure spares are to be.
  settings: [(old) => old],
} as const satisfies Record<string, readonly Step[]>

export type Upgradable = keyof typeof STEPS

/** A value in the newest format, or the version of it that is newer than this program knows. */
export type Upgraded = { value: unknown } | { newerVersion: number }

/**
 * Lifts a document of an earlier format to the newest. Documents that once had no version count as version 1; what is not a document
 * at all is left for the schema to refuse.
 */
export function upgrade(kind: Upgradable, value: unknown): Upgraded {
  if (!isRaw(value)) return { value }
  const version = value.formatVersion ?? 1
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) return { value }
  const steps: readonly Step[] = STEPS[kind]
  if (version > steps.length + 1) return { newerVersion: version }
  const lifted = steps.slice(version - 1).reduce((old, step) => step(old), value)
  return { value: { ...lifted, formatVersion: steps.length + 1 } }
}

/** What is said of a document that a newer version of the program wrote. */
export const newerWords = (one: string) => `This ${one} was saved by a newer version of Wide Reach. Update this one to open it.`

/** The joint’s own figure became one overlay with its spread; the fuse a typed reference; the family one that exists. */
function traceToV2({ fuse, family, tags, pieces, ...rest }: Raw): Raw {
  const known = typeof family !== 'string' || (FAMILY_IDS as readonly string[]).includes(family)
  const kept = Array.isArray(tags) ? tags : []
  // A family of one's own is kept as a word to find it by.
  const ownTag = !known && family.length <= MAX_TAG && kept.length < MAX_TAGS && !kept.includes(family) ? [family] : []
  return {
    ...rest,
    family: known ? family : OWN_DESIGN,
    ...(tags === undefined && ownTag.length === 0
      ? {}
      : { tags: Array.isArray(tags) || tags === undefined ? [...kept, ...ownTag] : tags }),
    pieces: Array.isArray(pieces) ? pieces.map(pieceToV2) : pieces,
    ...(fuse === undefined ? {} : { fuse: typeof fuse === 'string' ? fuseToV2(fuse) : fuse }),
  }
}

const JOINT = '.joint'
const fuseToV2 = (fuse: string) =>
  fuse.endsWith(JOINT) ? { at: 'joint', id: fuse.slice(0, -JOINT.length) } : { at: 'piece', id: fuse }

function pieceToV2(piece: unknown): unknown {
  if (!isRaw(piece) || !isRaw(piece.attach) || !isRaw(piece.attach.joint)) return piece
  return { ...piece, attach: { ...piece.attach, joint: jointToV2(piece.attach.joint) } }
}

function jointToV2({ efficiency, ...joint }: Raw): Raw {
  return efficiency === undefined ? joint : { ...joint, own: { efficiency } }
}

function outfitToV2({ wound, ...rest }: Raw): Raw {
  const lines = Array.isArray(wound)
    ? wound.map((line) => (isRaw(line) && isRaw(line.joint) ? { ...line, joint: jointToV2(line.joint) } : line))
    : wound
  return { ...rest, wound: lines }
}

/** What was seen to hold and drag stands among the observations; the migration of the database moved it there. */
function markToV2({ holds: _moved, ...rest }: Raw): Raw {
  return rest
}

/** Which rule set is in force is a setting of the crew. */
function ruleSetToV2({ inForce: _moved, ...rest }: Raw): Raw {
  return rest
}
