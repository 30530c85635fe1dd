import { z } from 'zod'
import { FAMILY_IDS, FISHING_MODES } from '../catalogue/familyIds.ts'
import { BAIT_IDS, HARDWARE_TYPES, HOOK_PATTERN_IDS, SINKER_METAL_IDS, SINKER_SHAPE_IDS } from '../catalogue/ids.ts'
import {
  bodyFields,
  diameterM,
  documentName,
  gapeM,
  headFields,
  hookSize,
  jointSchema,
  lengthM,
  massKg,
  materialSchema,
  notes,
  ratedFields,
  rigFields,
  share,
  strengthN,
  wireM,
} from './fields.ts'
import { filledText, text } from './text.ts'
import { TRACE_VERSION } from './versions.ts'
import { LINE_ROLES, MAX_FIGURE, MAX_PIECES, MAX_TAG, MAX_TAGS, OUTFIT, WOUND_ROLES } from './vocabulary.ts'

const RESERVED: readonly string[] = [OUTFIT, ...WOUND_ROLES]

const place = z.number().nonnegative('must not be negative').max(5_000)

const pieceId = z
  .string()
  .regex(/^[a-z][a-zA-Z0-9-]{0,39}$/, 'must start with a small letter and use letters, digits and dashes')
  .refine((id) => !RESERVED.includes(id), 'is reserved for the outfit')
const anchorId = text(40).min(1)

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

const common = { id: pieceId, label: text(80).optional(), attach: attachSchema }

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
  /** Its spool was pulled: the strength is what it broke at, not the label. */
  pulled: z.boolean().optional(),
  /** So many strands side by side, doubled back or twisted; absent: one. A `double` is two of itself. */
  strands: z.int().min(2).max(4).optional(),
  /** Turns that the strands are twisted by in each metre; absent: they lie straight. */
  twistPerM: z.number().min(1).max(300).optional(),
  /** Braid that can be spliced into itself. */
  hollow: z.boolean().optional(),
})
const hookPiece = z.strictObject({
  ...common,
  role: z.literal('hook'),
  pattern: z.enum(HOOK_PATTERN_IDS),
  size: hookSize,
  /** Absent: nominal, by pattern and size. */
  gapeM: gapeM.optional(),
  wireM: wireM.optional(),
  /** The point stands off the plane of the bend. */
  offset: z.boolean().optional(),
  barbless: z.boolean().optional(),
  /** Its eye was opened and closed again, to link it: it bears less. */
  openedEye: z.boolean().optional(),
  /** A guard keeps the point off weed and stone. */
  weedGuard: z.boolean().optional(),
  /** Turns around its shank of the line that it rides on: they hold it where it is set. */
  wraps: z.number().int().min(1).max(10).optional(),
  ...headFields,
})
const sinkerPiece = z.strictObject({
  ...common,
  role: z.literal('sinker'),
  shape: z.enum(SINKER_SHAPE_IDS),
  massKg,
  /** Absent: lead. */
  metal: z.enum(SINKER_METAL_IDS).optional(),
})
const hardwarePiece = z.strictObject({
  ...common,
  role: z.literal('hardware'),
  type: z.enum(HARDWARE_TYPES),
  size: text(10).optional(),
  strengthN: strengthN.optional(),
})
const lurePiece = z.strictObject({
  ...common,
  role: z.literal('lure'),
  massKg,
  strengthN: strengthN.optional(),
  /** It turns about its line as it is wound in: a spinner, a spoon. */
  spins: z.boolean().optional(),
  ...ratedFields,
  ...bodyFields,
  ...rigFields,
})
const baitPiece = z.strictObject({
  ...common,
  role: z.literal('bait'),
  bait: z.enum(BAIT_IDS),
  massKg: massKg.optional(),
  /** Its tail is trimmed, so that it hangs straight and does not spin. */
  trimmed: z.boolean().optional(),
  /** Absent: alive where its end swims or hangs, and a bait of its form may be. */
  alive: z.boolean().optional(),
  ...bodyFields,
  ...rigFields,
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
export const traceSchema = z.strictObject({
  formatVersion: z.literal(TRACE_VERSION),
  name: documentName,
  family: z.enum(FAMILY_IDS),
  /** How its end is meant to fish; absent: as its family does, or its parts say. */
  fishes: z.enum(FISHING_MODES).optional(),
  notes: notes.optional(),
  /** The angler's own words to find it by. */
  tags: z.array(filledText(MAX_TAG, 'is empty')).max(MAX_TAGS, `has more than ${MAX_TAGS} tags`).optional(),
  pieces: z.array(pieceSchema).max(MAX_PIECES, { error: `has more than ${MAX_PIECES} pieces`, abort: true }),
  releaseClips: z.array(releaseClipSchema).max(10).optional(),
  /** Findings that the angler knows of and lives with, each with its reason and how bad it was then. */
  setAside: z
    .array(
      z.strictObject({
        finding: text(120).min(1),
        reason: filledText(200, 'needs a reason'),
        figure: z.number().min(-MAX_FIGURE).max(MAX_FIGURE),
      }),
    )
    .max(50)
    .optional(),
  /** The line meant to part when the sinker snags. */
  weakLink: anchorId.optional(),
  /** The link meant to go first under a fish: a piece, or the joint it hangs by. */
  fuse: z.strictObject({ at: z.enum(['piece', 'joint']), id: anchorId }).optional(),
})

export type Trace = z.infer<typeof traceSchema>
export type Piece = z.infer<typeof pieceSchema>
export type LinePiece = z.infer<typeof linePiece>
export type HookPiece = z.infer<typeof hookPiece>
export type HardwarePiece = z.infer<typeof hardwarePiece>
export type Attach = Piece['attach']
export type ReleaseClip = z.infer<typeof releaseClipSchema>
