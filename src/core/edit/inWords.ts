import { closest } from 'fastest-levenshtein'
import type { Catalogue } from '../catalogue/catalogue.ts'
import { CONNECTION_IDS, type ConnectionId } from '../catalogue/ids.ts'
import type { Joint } from '../documents/fields.ts'
import { isTied, jointOf, lineById, parentId, pieceById, pieceNamed } from '../documents/pieces.ts'
import type { Attach, LinePiece, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { misfitOf } from '../joints/connectionRules.ts'
import { isKnot } from '../knots/choose.ts'
import { KNOT_FACTS } from '../knots/facts.ts'
import type { Rig } from '../setup/setup.ts'
import { NEVER_AT_END, putIn, type Step } from './addPart.ts'
import { fixedOn, sliding } from './attach.ts'
import { reattached, withJoint } from './changes.ts'
import { checked, type EditResult, refused } from './editResult.ts'
import { type NewPart, newParts, SINGLE_PARTS } from './newParts.ts'
import { type Place, stretchesOn } from './places.ts'
import { ALIVE, AMBIGUOUS, KNOT_WORDS, PART_SYNONYMS, REST_WORDS, RESTS, WEAK } from './synonyms.ts'
import { detailed, plainName, splitDetails } from './wordDetails.ts'

/** A part in words, and the chains that ride on it or hang from it, which stand in brackets after it. */
type Item = { words: string; count: number; on: Item[][] }

/** What a word means: a part, and what is set of it at once. */
type Word = { name: string; part: NewPart; set: object; joint?: Joint; weak?: boolean }

/** Riders that nothing is said of sit so far apart above what hangs below them, and a stop so far over its float, m. */
const RIDERS_APART_M = 0.02
const FISHES_UNDER_FLOAT_M = 2

/** Length of a tag that nobody measured, m. Ours. */
const TAG_M = 0.15

/** More characters than anyone writes of one trace. */
const MAX_WRITTEN = 20_000

/** Whether a text says more than the one part that a list is searched for. */
export const isInWords = (text: string): boolean => /[,;()\d]/.test(text)

/**
 * The trace with parts put in as they are written: `leader 40 lb 3 m, swivel, snood 60 cm, hook 2/0, bait`. After a comma comes what
 * hangs from the part before; sinkers, floats, beads and stops with more after them slide above that. In brackets after a part comes
 * what rides on it or hangs from it, one after each semicolon. Sizes, and the knot it is tied by, stand with their part.
 */
export function drawInWords(rig: Rig, place: Place, text: string): EditResult {
  if (text.length > MAX_WRITTEN) return refused('this is too long for one trace')
  const chains = parse(text)
  if (typeof chains === 'string') return refused(chains)
  const drawing = new Drawing(rig)
  const unclear = drawing.unclear(chains)
  if (unclear.length > 0) return refused(unclear.join('; '))
  const why = drawing.chains(chains, place)
  return why === undefined ? checked(rig, drawing.trace, drawing.last) : refused(why)
}

/** Chains of a text, or what is wrong with it. */
function parse(text: string): Item[][] | string {
  const root: Item[][] = [[]]
  const open = [root]
  let words = ''
  const chainsNow = () => open.at(-1)!
  const end = () => {
    const [, said = '', times] = /^(.*?)(?:\s+[x×]\s?(\d))?$/.exec(plainName(words.trim())) ?? []
    if (said !== '')
      chainsNow()
        .at(-1)!
        .push({ words: said, count: Number(times ?? 1), on: [] })
    words = ''
  }
  // A line of its own is a part of its own; a comma between figures is a point.
  for (const sign of text.replace(/\s*\n\s*/g, ',').replace(/(?<=\d),(?=\d)/g, '.')) {
    if (!',;()'.includes(sign)) words += sign
    else {
      end()
      if (sign === ';') chainsNow().push([])
      if (sign === ')' && open.length === 1) return 'a bracket is closed but not opened'
      if (sign === ')') open.pop()
      if (sign !== '(') continue
      const item = chainsNow().at(-1)!.at(-1)
      if (!item) return 'a bracket has no part before it'
      item.on.push([])
      open.push(item.on)
    }
  }
  end()
  if (open.length > 1) return 'a bracket is not closed'
  const chains = root.filter((chain) => chain.length > 0)
  return chains.length > 0 ? chains : 'it is empty'
}

class Drawing {
  trace: Trace
  last = ''
  private readonly rig: Rig
  private readonly vocabulary: readonly Word[]
  /** Knots by the words of their name, the longest first. */
  private readonly knots: readonly { id: ConnectionId; name: string[] }[]

  constructor(rig: Rig) {
    this.rig = rig
    this.trace = rig.trace
    this.vocabulary = wordsOf(rig.catalogue)
    this.knots = CONNECTION_IDS.filter((id) => isTied({ connection: id }))
      .flatMap((id) => {
        const names = [rig.catalogue.connections[id].name, ...(isKnot(id) ? KNOT_FACTS[id].also : []), ...(KNOT_WORDS[id] ?? [])]
        return names.map((name) => ({ id, name: plainName(name).split(' ') }))
      })
      .sort((a, b) => b.name.length - a.name.length)
  }

  /** Everything in chains that is not understood, all at once. */
  unclear(chains: readonly Item[][]): string[] {
    return chains.flat().flatMap(({ words, on }) => {
      const read = this.read(words.replace(AT_END, ''))
      return [...(typeof read === 'string' ? [`“${words}”: ${read}`] : []), ...this.unclear(on)]
    })
  }

  /** Chains at one place: the first takes over what is there, the others stand beside it. Why they cannot be; undefined when done. */
  chains(said: readonly Item[][], place: Place): string | undefined {
    // Two of one thing on a line stand beside each other.
    const chains = said.flatMap((chain) => {
      const [only] = chain
      if (place.at !== 'along' || chain.length !== 1 || !only) return [chain]
      return Array.from({ length: only.count }, () => [{ ...only, count: 1 }])
    })
    const at = place.at === 'along' ? this.spread(place, chains.length) : undefined
    for (const [i, chain] of chains.entries()) {
      const end = place.at === 'along' ? endIn(chain, place.line) : undefined
      const here = at?.[i] ?? (i === 0 || place.at === 'along' ? place : { at: 'end' as const, of: place.of })
      const why = end ? this.chain(end.chain, end.place) : this.chain(chain, here)
      if (why !== undefined) return why
    }
    return undefined
  }

  private chain(chain: readonly Item[], place: Place): string | undefined {
    const takes = place.at === 'end' ? place.takes : undefined
    const made: [Item, string][] = []
    let at: Place = place
    let riders: Item[] = []
    const items = chain.flatMap((each) => Array.from({ length: each.count }, () => each))
    for (const [i, item] of items.entries()) {
      if (at.at === 'end' && this.rides(item, at.of, i < items.length - 1)) {
        riders.push(item)
        continue
      }
      const step = this.put(item, at)
      if (!step.ok) return `${item.words}: ${step.why}`
      this.trace = step.trace
      made.push([item, step.id])
      const why = at.at === 'end' ? this.ride(riders, at.of, made) : undefined
      if (why !== undefined) return why
      riders = []
      this.last = step.id
      const taken = takes !== undefined && hangsFrom(this.trace, takes, step.id)
      at = { at: 'end', of: step.id, ...(taken ? { takes } : {}) }
    }
    if (riders.length > 0 && at.at === 'end') {
      const why = this.ride(riders, at.of, made)
      if (why !== undefined) return why
      this.last = made.at(-1)![1]
    }
    const end = this.last
    for (const [{ on }, id] of made) {
      const line = lineById(this.trace, id)
      const why =
        on.length === 0
          ? undefined
          : this.chains(
              on.filter((each) => each.length > 0),
              line ? { at: 'along', line: id, downM: line.lengthM / 2 } : { at: 'end', of: id },
            )
      if (why !== undefined) return why
    }
    this.last = end
    return undefined
  }

  /** Whether a part that others follow rides on the line above them: what never hangs from an end, a sinker, a float; on the main line all that has a place. */
  private rides(item: Item, of: string, isFollowed: boolean): boolean {
    const read = this.read(item.words)
    if (typeof read === 'string') return false
    const { part, placeM } = read
    if (of === OUTFIT && placeM !== undefined) return true
    if (!isFollowed) return false
    return part.kind === 'sinker' || part.kind === 'float' || (part.kind === 'hardware' && NEVER_AT_END.includes(part.type))
  }

  /** Puts riders on a line, one above the other, just above what hangs from its end; a stop over a float as far up as it fishes. */
  private ride(riders: readonly Item[], of: string, made: [Item, string][]): string | undefined {
    const line = of === OUTFIT ? OUTFIT : lineById(this.trace, of)?.id
    const [first] = riders
    if (first && line === undefined) return `${first.words}: no line above it to slide on`
    const endM = line === undefined || line === OUTFIT ? 0 : (lineById(this.trace, line)?.lengthM ?? 0)
    const stepM = line === OUTFIT ? RIDERS_APART_M : Math.min(RIDERS_APART_M, endM / (riders.length + 1))
    const said = riders.map(({ words }) => this.read(words)).map((read) => (typeof read === 'string' ? undefined : read))
    const float = said.findIndex((read) => read?.part.kind === 'float')
    for (const [i, item] of riders.entries()) {
      const placeM = said[i]?.placeM
      const overFloat =
        i === 0 && float > 0 ? Math.min(FISHES_UNDER_FLOAT_M, line === OUTFIT ? FISHES_UNDER_FLOAT_M : endM / 2) : 0
      const upM = placeM ?? Math.max(overFloat, (riders.length - i) * stepM)
      const step = this.put(item, { at: 'along', line: line ?? OUTFIT, downM: endM - upM }, true)
      if (!step.ok) return `${item.words}: ${step.why}`
      this.trace = step.trace
      made.push([item, step.id])
    }
    return undefined
  }

  /** @param placed its place is found already, whatever it says of it. */
  private put({ words }: Item, place: Place, placed = false): Step {
    const read = this.read(words)
    if (typeof read === 'string') return { ok: false, why: read }
    const { part, set, placeM, throughM, joint } = read
    if (part.kind === 'line' && place.at === 'along') return this.onLoop(words, place)
    if (placeM !== undefined && place.at !== 'along')
      return { ok: false, why: 'only parts on a line have a position; write it in the brackets of its line' }
    const here = placeM !== undefined && place.at === 'along' && !placed ? { ...place, downM: placeM } : place
    const strand = joint?.connection === 'runsOn' && place.at === 'end' ? this.strandAbove(place.of) : {}
    const put = putIn({ ...this.rig, trace: this.trace }, here, { ...part, set: { ...strand, ...set } })
    const step = put.ok ? { ...put, trace: marked(put.trace, put.id, read) } : put
    if (!step.ok || !joint) return step
    const piece = pieceNamed(step.trace, step.id)
    // A hook that is tied part-way does not slide.
    if (piece.role === 'hook' && piece.attach.how === 'sliding') {
      const { on, atM } = piece.attach
      return { ...step, trace: reattached(step.trace, step.id, { how: 'fixed', on, atM, joint }) }
    }
    const now = jointOf(piece)
    if (throughM !== undefined) return { ok: false, why: 'what runs through a part has no knot there' }
    const canBeTied =
      now !== undefined && (isTied(now) || misfitOf({ ...this.rig, trace: step.trace }, piece, joint) === undefined)
    if (!canBeTied) return { ok: false, why: 'it has no knot there' }
    return { ...step, trace: withJoint(step.trace, step.id, () => joint) }
  }

  /** A line on a boom hangs from a loop tied in it. */
  private onLoop(words: string, place: Place): Step {
    const loop = putIn({ ...this.rig, trace: this.trace }, place, SINGLE_PARTS.loop)
    if (!loop.ok) return loop
    this.trace = loop.trace
    return this.put({ words, count: 1, on: [] }, { at: 'end', of: loop.id })
  }

  /** The line that a loop or a hook is tied in: a tag of it is the same line. */
  private strandAbove(of: string): Partial<LinePiece> {
    const from = pieceById(this.trace, of)
    const line = from && lineById(this.trace, parentId(from.attach))
    if (!line) return {}
    const { material, strengthN, diameterM } = line
    return { material, strengthN, ...(diameterM === undefined ? {} : { diameterM }) }
  }

  /** What the words of one part say, or what of them is not understood. */
  private read(words: string): string | ReadPart {
    const ambiguous = Object.keys(AMBIGUOUS).find((name) => new RegExp(`\\b${name}(?! (?:lead|link|sinker)s?\\b)`).test(words))
    if (ambiguous) return `“${ambiguous}” has two meanings: write ${AMBIGUOUS[ambiguous]!.join(' or ')}`
    const knotFirst = this.knotIn(words.split(/\s+/))
    const word = this.wordFor(words) ?? this.wordFor(knotFirst.rest.join(' '))
    if (!word) return this.nearest(words)
    const { part } = word
    const { joint: knot, rest: said } = this.knotIn(word.rest)
    const fuse = fuseIn(said)
    const isTag = said.includes('tag')
    const joint = isTag ? { connection: 'runsOn' as const } : said.includes('fitted') ? { connection: 'fitted' as const } : knot
    const seat = SEATS.find((each) => said.includes(each))
    const weak = word.weak || said.includes('weak')
    const held = REST_WORDS.find((each) => said.includes(each))
    const rest = said.filter((each) => !MARKS.includes(each))
    const set: Record<string, unknown> = { ...word.set }
    const alreadySet = new Set<string>()
    let placeM: number | undefined
    let throughM: number | undefined
    for (const text of splitDetails(rest)) {
      const detail = detailed(this.rig.catalogue, part, text)
      if (typeof detail === 'string') return detail
      for (const [key, value] of Object.entries(detail.set ?? {})) {
        if (alreadySet.has(key) && set[key] !== value) return `“${text}” says again what was said before`
        alreadySet.add(key)
      }
      if (detail.placeM !== undefined && placeM !== undefined) return `“${text}” says again where it is`
      placeM = detail.placeM ?? placeM
      throughM = detail.throughM ?? throughM
      Object.assign(set, detail.set)
    }
    if (set.headSwings && set.headKg === undefined) return `“swinging” is not a detail of a ${part.name}`
    return { part, set, placeM, throughM, joint: joint ?? word.joint, weak, fuse, seat, held }
  }

  private nearest(words: string): string {
    const known = closest(words, [...new Set(this.vocabulary.map(({ name }) => name))])
    return `no such part, the nearest is “${known}”`
  }

  /** The knot that is named among the words, with its turns, and the other words. */
  private knotIn(words: string[]): { joint?: Joint; rest: string[] } {
    for (const { id, name } of this.knots)
      for (let from = 0; from + name.length <= words.length; from += 1) {
        if (!name.every((word, i) => words[from + i] === word)) continue
        const rest = [...words.slice(0, from), ...words.slice(from + name.length)]
        const at = rest.findIndex((word, i) => /^turns?$/.test(word) && /^\d+$/.test(rest[i - 1] ?? ''))
        if (at < 1) return { joint: { connection: id }, rest }
        return { joint: { connection: id, turns: Number(rest[at - 1]) }, rest: rest.filter((_, i) => i !== at && i !== at - 1) }
      }
    return { rest: words }
  }

  /** The longest run of words that names a part, else begins the name of one; the other words are what is said of it. */
  private wordFor(words: string): (Word & { rest: string[] }) | undefined {
    const tokens = words.split(/\s+/)
    const found = (fits: (name: string, run: string) => boolean) => {
      for (let length = tokens.length; length > 0; length -= 1)
        for (let from = 0; from + length <= tokens.length; from += 1) {
          const run = tokens.slice(from, from + length).join(' ')
          const word = this.vocabulary.find(({ name }) => fits(name, run))
          if (word) return { ...word, rest: [...tokens.slice(0, from), ...tokens.slice(from + length)] }
        }
      return undefined
    }
    return found((name, run) => name === run) ?? found((name, run) => run.length > 2 && name.startsWith(run))
  }

  /** So many places along a line, as far from each other as from the ends of the stretch. */
  private spread(place: Extract<Place, { at: 'along' }>, count: number): Place[] {
    const stretch = stretchesOn(this.trace, place.line).find(({ above, below }) => above === place.above && below === place.below)
    const lengthM = stretch?.lengthM ?? 0
    return Array.from({ length: count }, (_, i) => ({
      ...place,
      downM: (stretch?.downM ?? place.downM) + lengthM * ((i + 1) / (count + 1) - 0.5),
    }))
  }
}

const AT_END = /^(near|far) end /

/** A chain in the brackets of a line that is tied to an end of it, and without the words that say so. */
function endIn(chain: readonly Item[], line: string): { place: Place; chain: Item[] } | undefined {
  const [first, ...others] = chain
  const end = first && AT_END.exec(first.words)?.[1]
  if (!first || !end) return undefined
  const place: Place = { at: 'end', of: line, ...(end === 'near' ? { end: 'near' as const } : {}) }
  return { place, chain: [{ ...first, words: first.words.replace(AT_END, '') }, ...others] }
}

/** What words say of a part. */
type ReadPart = {
  part: NewPart
  set: object
  placeM: number | undefined
  /** How much of a line lies before the part that it runs through, m. */
  throughM: number | undefined
  joint: Joint | undefined
  weak: boolean
  fuse: 'piece' | 'joint' | undefined
  /** How it sits on its line, where that is not as usual. */
  seat: (typeof SEATS)[number] | undefined
  held: (typeof REST_WORDS)[number] | undefined
}

/** Words that mark a part and set nothing of it. */
const SEATS = ['fixed', 'sliding'] as const
const MARKS: readonly string[] = ['weak', 'fuse', 'tag', 'fitted', ...SEATS, ...REST_WORDS]

function fuseIn(words: readonly string[]): ReadPart['fuse'] {
  const at = words.indexOf('fuse')
  return at < 0 ? undefined : words[at + 1] === 'knot' ? 'joint' : 'piece'
}

/** A trace with what words say of a part once it is there: what marks it, how it sits, what it runs through. */
function marked(trace: Trace, id: string, { weak, fuse, throughM, seat, held }: ReadPart): Trace {
  const seated = reattached(trace, id, seatedAs(trace, id, { throughM, seat, held }))
  return { ...seated, ...(weak ? { weakLink: id } : {}), ...(fuse ? { fuse: { at: fuse, id } } : {}) }
}

/** How a part hangs by its words. Its stops are only asked for: which parts they are is found when all is drawn. */
function seatedAs(trace: Trace, id: string, { throughM, seat, held }: Pick<ReadPart, 'throughM' | 'seat' | 'held'>): Attach {
  const { attach } = pieceNamed(trace, id)
  if (throughM !== undefined && attach.how === 'joined')
    return { how: 'through', carrier: attach.to, atM: throughM, stops: { near: id, far: id } }
  if (seat === 'fixed' && attach.how === 'sliding') return fixedOn(attach.on, attach.atM)
  const slides = seat === 'sliding' && attach.how === 'fixed' ? sliding(attach.on, attach.atM, {}) : attach
  if (!held || slides.how !== 'sliding') return slides
  const { above, below } = RESTS[held]
  // Where nothing else is above, the part that the line hangs from stops it.
  const line = lineById(trace, slides.on)
  const upper = line ? parentId(line.attach) : id
  return sliding(slides.on, slides.atM, { ...(above ? { above: upper } : {}), ...(below ? { below: id } : {}) })
}

function hangsFrom(trace: Trace, id: string, from: string): boolean {
  const piece = pieceById(trace, id)
  return piece?.attach.how === 'joined' && piece.attach.to === from
}

/** Every part by its name, and hooks, sinkers and baits by the name of their kind. */
function wordsOf(catalogue: Catalogue): Word[] {
  const parts = newParts(catalogue)
  const kinds = (part: NewPart | undefined, field: string, table: Readonly<Record<string, { name: string }>>): Word[] =>
    part ? Object.entries(table).map(([id, { name }]) => ({ name: plainName(name), part, set: { [field]: id } })) : []
  const own: Word[] = [
    ...Object.values(parts).map((part) => ({ name: plainName(part.name), part, set: part.set ?? {} })),
    ...kinds(parts.hook, 'pattern', catalogue.hooks.patterns),
    ...kinds(parts.sinker, 'shape', catalogue.sinkers),
    ...kinds(parts.bait, 'bait', catalogue.baits),
  ]
  const others = Object.entries(PART_SYNONYMS).flatMap(([name, synonyms]) => {
    const word = own.find((each) => each.name === name)
    if (!word) throw new Error(`no part is called ${name}`)
    return synonyms.map((each) => ({
      ...word,
      name: each,
      set: { ...word.set, ...(each in ALIVE ? { alive: ALIVE[each] } : {}) },
      ...(WEAK.includes(each) ? { weak: true } : {}),
    }))
  })
  const tag = parts.snood && { name: 'tag', part: parts.snood, set: { lengthM: TAG_M }, joint: { connection: 'runsOn' as const } }
  return [...own, ...others, ...(tag ? [tag] : [])]
}
