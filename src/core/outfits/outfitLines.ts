import type { Catalogue } from '../catalogue/catalogue.ts'
import { lineDiameterM } from '../catalogue/materials.ts'
import { DEFAULT_GEAR_RATIO, spoolRadii } from '../catalogue/reels.ts'
import type { Outfit, WoundLine } from '../documents/outfit.ts'
import { type SpoolFill, type SpoolInput, spoolFill } from '../physics/spool/fill.ts'

/** The line that gives the outfit its line class. */
export function mainLine(outfit: Outfit): WoundLine {
  return mustBe(outfit.wound.find(({ role }) => role === 'main'))
}

/** The outfit with something of its main line changed; what is wound under and over it stays. */
export function withMainLine(outfit: Outfit, change: Partial<WoundLine>): Outfit {
  const main = mainLine(outfit)
  return { ...outfit, wound: outfit.wound.map((line) => (line === main ? { ...line, ...change } : line)) }
}

/** The line that a trace is tied to: the last one wound. */
export function freeLine(outfit: Outfit): WoundLine {
  return mustBe(outfit.wound.at(-1))
}

/** An outfit that was read has a main line, so it has a last one too. */
function mustBe(line: WoundLine | undefined): WoundLine {
  if (!line) throw new Error('The outfit has no main line')
  return line
}

/** What `spool.fill` is asked of an outfit with `lineOutM` out. */
export function spoolInput(catalogue: Catalogue, { reel, wound }: Outfit, lineOutM: number): SpoolInput {
  const { capacityLengthM, capacityDiameterM } = reel
  const layers = wound.map((line) => ({
    id: line.role,
    diameterM: lineDiameterM(catalogue, line),
    ...(line.lengthM === undefined ? {} : { lengthM: line.lengthM }),
  }))
  return { capacityLengthM, capacityDiameterM, ...spoolRadii(reel), layers, lineOutM }
}

/**
 * The outfit's spool with `lineOutM` out.
 * @throws CoreError 'overfull', 'line-out-over-spool' as spoolFill does.
 */
export function spoolOf(catalogue: Catalogue, outfit: Outfit, lineOutM: number): SpoolFill {
  const last = lastSpools.get(outfit)
  if (last?.catalogue === catalogue && last.lineOutM === lineOutM) return last.spool
  const spool = spoolFill(spoolInput(catalogue, outfit, lineOutM))
  lastSpools.set(outfit, { catalogue, lineOutM, spool })
  return spool
}

/** Every path of a trace asks for the same spool, one after another; documents are immutable. */
const lastSpools = new WeakMap<Outfit, { catalogue: Catalogue; lineOutM: number; spool: SpoolFill }>()

/** Line that one turn of the handle brings in with so much out, m; nominal where the reel’s gear is not told. */
export const linePerTurnM = (catalogue: Catalogue, outfit: Outfit, lineOutM: number): number =>
  2 * Math.PI * spoolOf(catalogue, outfit, lineOutM).radiusM * (outfit.reel.gearRatio ?? DEFAULT_GEAR_RATIO)

/** All the line that is wound on an outfit, m. */
export const woundM = (catalogue: Catalogue, outfit: Outfit): number => woundOnM(spoolOf(catalogue, outfit, 0))

/** The same, of a spool that was worked out before. */
export const woundOnM = ({ layers }: Pick<SpoolFill, 'layers'>): number => layers.reduce((sum, { lengthM }) => sum + lengthM, 0)

/** A wound line that is at least partly out, and how much of it is, m. */
export type LineOut = { line: WoundLine; outM: number }

/** Lines at least partly out, from the lowest to the free one. */
export function linesOut(outfit: Outfit, spool: SpoolFill, lineOutM: number): LineOut[] {
  const out: LineOut[] = []
  let left = lineOutM
  for (const [i, line] of [...outfit.wound.entries()].toReversed()) {
    const outM = Math.min(left, spool.layers[i]?.lengthM ?? 0)
    out.unshift({ line, outM })
    left -= outM
    if (left <= 0) break
  }
  return out
}
