import { z } from 'zod'
import { BAITS, type BaitType } from '../gear/baits.ts'
import { CONNECTION_IDS, connectionOf } from '../gear/connections.ts'
import { HARDWARE_TYPES } from '../gear/hardware.ts'
import { HOOK_PATTERNS, type HookPattern } from '../gear/hooks.ts'
import { MATERIALS, type Material } from '../gear/materials.ts'
import { SINKER_SHAPES, type SinkerShape } from '../gear/sinkers.ts'
import { parseHookSize } from '../units/hookSize.ts'

/** The version of every document; a reader refuses the ones it does not know. */
export const FORMAT_VERSION = 1
export const MOST_PIECES = 200
export const MOST_TAGS = 12

/** The free end of the outfit's line, as a place to attach to. */
export const OUTFIT = 'outfit'
const LINE_ROLES = ['double', 'leader', 'body', 'snood', 'sinkerLink', 'biteTrace'] as const
export const WOUND_ROLES = ['backing', 'main', 'topShot'] as const
const RESERVED: readonly string[] = [OUTFIT, ...WOUND_ROLES]

const keysOf = <K extends string>(table: Record<K, unknown>) => Object.keys(table) as [K, ...K[]]

export const strengthN = z.number().positive('must be above 0').max(100_000)
export const diameterM = z.number().positive('must be above 0').max(0.02)
export const lengthM = z.number().positive('must be above 0').max(5_000)
export const massKg = z.number().positive('must be above 0').max(50)
export const share = z.number().positive('must be above 0').max(1, 'is a share: at most 1')
const place = z.number().nonnegative('must not be negative').max(5_000)

const pieceId = z
  .string()
  .regex(/^[a-z][a-zA-Z0-9-]{0,39}$/, 'starts with a small letter; letters, digits and dashes')
  .refine((id) => !RESERVED.includes(id), 'is a word of the outfit’s')
const anchorId = z.string().min(1).max(40)

export const jointSchema = z.strictObject({
  connection: z.enum(CONNECTION_IDS),
  turns: z.int().min(1).max(60).optional(),
  loopM: z.number().positive().max(3).optional(),
  /** Bore of a crimp's sleeve, each barrel. */
  boreM: z.number().positive().max(0.02).optional(),
  /** The angler's own figure for this joint, in place of the nominal efficiencies. */
  efficiency: share.optional(),
})

/**
 * How a piece hangs from the rest.
 * `joined`: tied or fitted to the end of another piece. `fixed`: at a place part-way along a line, with a joint that may
 * weaken that line. `sliding`: free on a line between stops. `through`: a line that runs through a carrier (a pulley),
 * its carrier `atM` from the near end; the stops are the pieces on it that bear on the carrier from either side.
 * Places are metres from the line's near (reel's) end; on the outfit's line, metres up from its free end.
 */
const attachSchema = z.discriminatedUnion('how', [
  z.strictObject({ how: z.literal('joined'), to: anchorId, end: z.enum(['near', 'far']).optional(), joint: jointSchema }),
  z.strictObject({ how: z.literal('fixed'), on: anchorId, atM: place, joint: jointSchema }),
  z.strictObject({
    how: z.literal('sliding'),
    on: anchorId,
    atM: place,
    stops: z.strictObject({ above: anchorId.optional(), below: anchorId.optional() }),
  }),
  z.strictObject({
    how: z.literal('through'),
    carrier: anchorId,
    atM: place,
    stops: z.strictObject({ near: anchorId, far: anchorId }),
  }),
])

const common = { id: pieceId, label: z.string().max(80).optional(), attach: attachSchema }
export const materialSchema = z.enum(keysOf<Material>(MATERIALS))
const hookSize = z.string().refine((text) => parseHookSize(text).ok, 'is not a hook size, such as 2/0 or 4')

const linePiece = z.strictObject({
  ...common,
  role: z.enum(LINE_ROLES),
  material: materialSchema,
  strengthN,
  /** Absent: nominal, from the strength. */
  diameterM: diameterM.optional(),
  /** Between the connections, as fished. */
  lengthM,
  /** Share of its strength left by wear and nicks; absent: as new. */
  condition: share.optional(),
})
const hookPiece = z.strictObject({
  ...common,
  role: z.literal('hook'),
  pattern: z.enum(keysOf<HookPattern>(HOOK_PATTERNS)),
  size: hookSize,
  gapeM: z.number().positive().max(0.2).optional(),
  wireM: z.number().positive().max(0.02).optional(),
  /** The point stands off the plane of the bend. */
  offset: z.boolean().optional(),
  barbless: z.boolean().optional(),
})
const sinkerPiece = z.strictObject({
  ...common,
  role: z.literal('sinker'),
  shape: z.enum(keysOf<SinkerShape>(SINKER_SHAPES)),
  massKg,
})
const hardwarePiece = z.strictObject({
  ...common,
  role: z.literal('hardware'),
  type: z.enum(HARDWARE_TYPES),
  size: z.string().max(10).optional(),
  strengthN: strengthN.optional(),
})
const lurePiece = z.strictObject({ ...common, role: z.literal('lure'), massKg, strengthN: strengthN.optional() })
const baitPiece = z.strictObject({
  ...common,
  role: z.literal('bait'),
  bait: z.enum(keysOf<BaitType>(BAITS)),
  massKg: massKg.optional(),
})
const lightPiece = z.strictObject({ ...common, role: z.literal('light'), massKg })
const floatPiece = z.strictObject({ ...common, role: z.literal('float'), massKg })

const pieceSchema = z.discriminatedUnion('role', [
  linePiece,
  hookPiece,
  sinkerPiece,
  hardwarePiece,
  lurePiece,
  baitPiece,
  lightPiece,
  floatPiece,
])

/** A clip that carries the cast from `from` to `to` on its own strength; it opens on landing. */
const releaseClipSchema = z.strictObject({ id: pieceId, from: anchorId, to: anchorId, strengthN })

/** The shape of a trace document. `parseTrace` adds what holds between its pieces. */
export const traceShape = z.strictObject({
  formatVersion: z.literal(FORMAT_VERSION),
  name: z.string().trim().min(1, 'needs a name').max(80),
  family: z.string().min(1).max(40),
  notes: z.string().max(4_000).optional(),
  /** The angler's own words to find it by. */
  tags: z
    .array(z.string().trim().min(1).max(24, 'is over 24 letters'))
    .max(MOST_TAGS, `has more than ${MOST_TAGS} tags`)
    .optional(),
  pieces: z.array(pieceSchema).max(MOST_PIECES, `has more than ${MOST_PIECES} pieces`),
  releaseClips: z.array(releaseClipSchema).max(10).optional(),
  /** Findings that the angler knows of and lives with, each with its reason and how bad it was then. */
  setAside: z
    .array(
      z.strictObject({
        finding: z.string().min(1).max(120),
        reason: z.string().trim().min(1, 'needs a reason').max(200),
        figure: z.number(),
      }),
    )
    .max(50)
    .optional(),
  /** The line meant to part when the sinker snags. */
  weakLink: anchorId.optional(),
  /** The link meant to go first under a fish: a piece's id, or its joint's. */
  fuse: z.string().max(60).optional(),
})

export type Trace = z.infer<typeof traceShape>
export type Piece = z.infer<typeof pieceSchema>
export type LinePiece = z.infer<typeof linePiece>
export type HookPiece = z.infer<typeof hookPiece>
export type HardwarePiece = z.infer<typeof hardwarePiece>
export type Attach = Piece['attach']
export type Joint = z.infer<typeof jointSchema>
export type ReleaseClip = z.infer<typeof releaseClipSchema>

export function isLine(piece: Piece | undefined): piece is LinePiece {
  return piece !== undefined && (LINE_ROLES as readonly string[]).includes(piece.role)
}

/** The joint a piece hangs by, where it hangs by one. */
export function jointOf(piece: Piece): Joint | undefined {
  return piece.attach.how === 'joined' || piece.attach.how === 'fixed' ? piece.attach.joint : undefined
}

/** Whether a joint is a knot, crimp or splice, and so a link: what only fits into each other harms no line. */
export const isTied = (joint: Joint | undefined): joint is Joint =>
  joint !== undefined && connectionOf(joint.connection).joins !== 'fixture'

/** The id of the link that a piece's joint makes. */
export const jointId = (id: string) => `${id}.joint`

/** The piece that a link belongs to: `swivel` for both `swivel` and `swivel.joint`. */
export const pieceOfLink = (linkId: string) => linkId.replace(/\.joint$/, '')

/** The piece a piece hangs from: another piece's id, or the outfit. */
export function parentId(attach: Attach): string {
  if (attach.how === 'joined') return attach.to
  return attach.how === 'through' ? attach.carrier : attach.on
}
