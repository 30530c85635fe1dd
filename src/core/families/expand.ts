import { swivelWidthM } from '../catalogue/bores.ts'
import type { Catalogue } from '../catalogue/catalogue.ts'
import { fittedTo } from '../catalogue/hardware.ts'
import type { Material } from '../catalogue/ids.ts'
import { labelAtLeastN, labelAtMostN } from '../catalogue/labels.ts'
import type { Outfit } from '../documents/outfit.ts'
import { isLine } from '../documents/pieces.ts'
import type { Attach, Piece, Trace } from '../documents/trace.ts'
import { TRACE_VERSION } from '../documents/versions.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { fixedOn, joined, sliding } from '../edit/attach.ts'
import { defaultConnection } from '../joints/connectionRules.ts'
import { type End, endOf } from '../joints/ends.ts'
import { freeLine, mainLine } from '../outfits/outfitLines.ts'
import { wideEnough } from '../setup/stoppedBores.ts'
import { withBiteTrace } from './biteRows.ts'
import type { Amount, Family, Hang, PartPosition, Repeat, Row, Strength, Wishes } from './family.ts'

/** What a family's amounts and shares are calculated from. */
export type Basis = {
  outfit: Outfit
  catalogue: Catalogue
  /** Label of the leader, N. */
  leaderN: number
  /** Label of the line that is meant to part on a snag, N. */
  weakLinkN: number
  /** Leader that reaches the reel, m. */
  castReachM: number
  /** Least label of a line that a hook or lure is on, N. */
  atHookN: number
}

const LETTERS = 'abcdefghij'

/** A family's rows as pieces, with the sizes, lengths and connections that follow from wishes and basis. */
export function expand(family: Family, wishes: Wishes, basis: Basis): Trace {
  const pieces = new Expansion(family, wishes, basis).pieces()
  return {
    formatVersion: TRACE_VERSION,
    name: wishes.name,
    family: family.id,
    pieces,
    ...(family.weakLink ? { weakLink: family.weakLink } : {}),
  }
}

/** Where a row of a repeat stands: its letter, what came before it, and its place along the line. */
type Slot = { letter: string; before: string; atM: number }

class Expansion {
  private readonly family: Family
  private readonly wishes: Wishes
  private readonly basis: Basis
  private readonly done: Piece[] = []
  private readonly rows: readonly (Row | Repeat)[]

  constructor(family: Family, wishes: Wishes, basis: Basis) {
    this.family = family
    this.wishes = wishes
    this.basis = basis
    this.rows = withBiteTrace(family.rows, wishes.bite)
  }

  pieces(): Piece[] {
    for (const row of this.rows)
      if ('each' in row) this.repeat(row)
      else this.add(row)
    return this.done.map((piece) => this.widerThanBore(piece))
  }

  /** A swivel that stops a bored sinker is wider than the bore. */
  private widerThanBore(piece: Piece): Piece {
    if (piece.role !== 'hardware' || piece.size === undefined || swivelWidthM(piece.size) === undefined) return piece
    const sizes = this.basis.catalogue.hardware[piece.type].sizes.map(({ size }) => size)
    const size = wideEnough(this.done, piece.id, sizes.slice(sizes.indexOf(piece.size)))
    return size === undefined ? piece : { ...piece, size }
  }

  private repeat({ each, rows, from, firstM = 0, spacingM = 0 }: Repeat) {
    for (let i = 0; i < this.count(each); i += 1) {
      const before = i === 0 ? from : this.done.findLast(({ role }) => role !== 'bait')?.id
      const slot = { letter: LETTERS.charAt(i), before: before ?? '', atM: this.amount(firstM) + i * this.amount(spacingM) }
      // Only the last of linked hooks carries the bait.
      const last = from === undefined || i === this.count(each) - 1
      for (const row of rows) this.add('hook' in row && !last ? { ...row, hook: 'bare' } : row, slot)
    }
  }

  private add(row: Row, slot?: Slot) {
    const id = named(row.id, slot)
    const side = this.endOfRow(row)
    const attach = this.attach(row.hangs, side, slot)
    if ('line' in row) {
      const lengthM = row.lengthM === 'castReach' ? this.basis.castReachM : this.amount(row.lengthM)
      const material = this.material(row.material)
      const strengthN = Math.max(this.strengthN(row.strength), this.bearsHook(row) ? this.basis.atHookN : 0)
      this.done.push({ id, role: row.line, material, strengthN, lengthM, attach })
    } else if ('part' in row) {
      const fitted = fittedTo(this.basis.catalogue, row.part, (row.share ?? 1) * this.basis.leaderN)
      this.done.push({ id, role: 'hardware', type: row.part, attach, ...fitted })
    } else if ('sinker' in row) {
      const shape = (row.massKg === 'sinkerKg' ? this.wishes.sinkerShape : undefined) ?? row.sinker
      this.done.push({ id, role: 'sinker', shape, massKg: this.amount(row.massKg), attach })
    } else if ('hook' in row) {
      this.done.push({ id, role: 'hook', pattern: this.wishes.hookPattern, size: this.wishes.hookSize, attach })
      if (row.hook === 'baited')
        this.done.push({ id: `${id}-bait`, role: 'bait', bait: this.wishes.bait, attach: joined(id, 'fitted') })
    } else if ('lure' in row) {
      this.done.push({ id, role: 'lure', massKg: this.amount(row.lure), attach })
    } else if ('float' in row) this.done.push({ id, role: 'float', massKg: this.amount(row.float), attach })
    else this.done.push({ id, role: 'light', massKg: this.amount(row.light), attach })
  }

  private attach(hang: Hang, below: End, slot: Slot | undefined): Attach {
    if ('tied' in hang) {
      const to = named(hang.tied, slot)
      const connection = hang.with ?? defaultConnection(this.endOfPiece(to), below)
      if (!connection) throw new Error(`${this.family.id}: no usual connection to ${to}`)
      return joined(to, connection, hang.end)
    }
    if ('on' in hang) return fixedOn(hang.on, this.place(hang.at, hang.on, slot), hang.with)
    if ('slides' in hang) {
      const stop = (id: string | undefined) => (id === undefined ? undefined : named(id, slot))
      return sliding(hang.slides, this.place(hang.at, hang.slides, slot), { above: stop(hang.above), below: stop(hang.below) })
    }
    return { how: 'through', carrier: hang.through, atM: this.amount(hang.at), stops: { near: hang.near, far: hang.far } }
  }

  private place(place: PartPosition, on: string, slot: Slot | undefined): number {
    if (typeof place === 'object' && 'slot' in place) return (slot?.atM ?? 0) + place.slot
    if (typeof place !== 'object' || !('back' in place)) return this.amount(place)
    const lineM = this.done.filter(isLine).find(({ id }) => id === on)?.lengthM ?? 0
    return Math.max(0, lineM - Math.min(this.amount(place.back), lineM / 2))
  }

  private amount(amount: Amount): number {
    if (typeof amount === 'number') return amount
    if (typeof amount === 'object') return toCentimetre(this.amount(amount.of) * (amount.times ?? 1) + (amount.plus ?? 0))
    if (amount === 'rodM') return this.basis.outfit.rod.lengthM
    if (amount === 'rowM') return this.rowM()
    const parameter = this.family.parameters.find(({ key }) => key === amount)
    if (!parameter) throw new Error(`${this.family.id} has no parameter ${amount}`)
    return this.wishes.amounts[amount] ?? parameter.usual
  }

  /** From the first to the last of the row of a repeat, m. */
  private rowM(): number {
    const repeat = this.family.rows.find((row): row is Repeat => 'each' in row)
    return repeat ? (this.count(repeat.each) - 1) * this.amount(repeat.spacingM ?? 0) : 0
  }

  private count(key: string): number {
    return Math.round(this.amount(key))
  }

  private strengthN(strength: Strength): number {
    if (strength === 'weakLink') return this.basis.weakLinkN
    if ('main' in strength) return strength.main * mainLine(this.basis.outfit).strengthN
    const wantedN = strength.leader * this.basis.leaderN
    return strength.leader > 1 ? labelAtLeastN(wantedN) : labelAtMostN(wantedN)
  }

  /** Whether a hook or lure is tied to a line that teeth reach; wire they do not bite. */
  private bearsHook(row: Row & { line: unknown; material: unknown }): boolean {
    if (row.material === 'wire' || row.material === 'cable') return false
    return this.rows
      .flatMap((each) => ('each' in each ? each.rows : [each]))
      .some((each) => ('hook' in each || 'lure' in each) && 'tied' in each.hangs && each.hangs.tied === row.id)
  }

  private material(material: Material | 'outfit'): Material {
    return material === 'outfit' ? freeLine(this.basis.outfit).material : material
  }

  private endOfRow(row: Row): End {
    if ('line' in row)
      return { end: row.line === 'double' ? 'double' : 'strand', material: this.material(row.material), hollow: false }
    if ('hook' in row) return { end: 'hook' }
    return { end: 'part' in row && row.part === 'loop' ? 'loop' : 'eye' }
  }

  private endOfPiece(id: string): End {
    const { outfit } = this.basis
    if (id === OUTFIT) return { end: 'strand', material: freeLine(outfit).material, hollow: freeLine(outfit).hollow ?? false }
    const piece = this.done.find((each) => each.id === id)
    if (!piece) throw new Error(`${this.family.id}: there is no ${id} to tie to`)
    return endOf(piece)
  }
}

/** What is calculated from something else is cut to the centimetre, as a person would. */
const toCentimetre = (lengthM: number) => Math.round(lengthM * 100) / 100

const named = (id: string, slot: Slot | undefined) =>
  id === '@' ? (slot?.before ?? '') : slot ? id.replace('#', slot.letter) : id
