import { z } from 'zod'
import { type ContentOf, readContent } from '../../shared/documentKinds.ts'
import type { DocumentKind } from '../../shared/kindNames.ts'
import { newId } from '../api/newId.ts'
import { fromStorage } from '../settings/browserStorage.ts'

/** Unsaved work, with the revision it was made from. */
export type Draft<T> = { baseRevision: number; content: T }

/** Unsaved work of the same document that this page does not hold. */
export type OtherDraft = {
  key: string
  keptAtMs: number
  /** Another window may be open on it. */
  elsewhere: boolean
}

/** As kept; what an earlier version kept belongs to nobody. */
const entrySchema = z.object({
  baseRevision: z.int().positive(),
  content: z.unknown(),
  keptAtMs: z.number().default(0),
  /** Whoever wrote it has left it. */
  released: z.boolean().default(true),
})
type Entry = z.infer<typeof entrySchema>

/**
 * Unsaved work on one document, kept in the browser under a name of this page’s own, so that two windows never write over each other.
 * Work that was left by whoever wrote it is taken up by the next page that opens the document; what another window has open, what a
 * newer version wrote and whatever else does not read is left where it is.
 */
export class DraftKeeper<K extends DocumentKind> {
  /** What was left unsaved and can be gone on with: this window’s own first, else the latest. */
  readonly resumed: Draft<ContentOf<K>> | undefined
  /** There is unsaved work that the browser did not keep. */
  notStored = false
  private readonly kind: K
  private readonly prefix: string
  private readonly key: string
  private held: Entry | undefined
  /** Where `resumed` is kept until it is kept under this page’s name. */
  private takenFrom: string | undefined

  constructor(kind: K, id: string) {
    this.kind = kind
    this.prefix = `wide-reach.draft.${id}`
    this.key = `${this.prefix}.${newId()}`
    const own = fromStorage(() => sessionStorage.getItem(this.prefix))
    const left = this.entries()
      .filter(({ entry }) => entry.released)
      .toSorted((a, b) => Number(b.key === own) - Number(a.key === own) || b.entry.keptAtMs - a.entry.keptAtMs)
    for (const { key, entry } of left) {
      const draft = this.read(entry)
      if (!draft) continue
      this.resumed = draft
      this.takenFrom = key
      break
    }
  }

  /** Keeps it, or says by `notStored` that the browser does not: its storage may be full or off. */
  keep(baseRevision: number, content: object): void {
    this.notStored = !this.write({ baseRevision, content, keptAtMs: Date.now(), released: false })
    if (!this.notStored && this.takenFrom !== undefined) this.discard(this.takenFrom)
  }

  /** There is nothing unsaved any more. */
  drop(): void {
    if (this.held) this.discard(this.key)
    if (this.takenFrom !== undefined) this.discard(this.takenFrom)
    this.held = undefined
    this.notStored = false
  }

  /** This page is being left: the next one may go on with it. */
  release(): void {
    if (this.held) this.write({ ...this.held, released: true })
  }

  /** This page came back. */
  claim(): void {
    if (this.held) this.write({ ...this.held, released: false })
  }

  others(): OtherDraft[] {
    return this.entries()
      .filter(({ key }) => key !== this.key && key !== this.takenFrom)
      .map(({ key, entry }) => ({ key, keptAtMs: entry.keptAtMs, elsewhere: !entry.released }))
      .toSorted((a, b) => b.keptAtMs - a.keptAtMs)
  }

  /** What is in another draft; where it cannot be read, why, in a sentence. */
  look({ key }: OtherDraft): Draft<ContentOf<K>> | { message: string } {
    const entry = this.entries().find((each) => each.key === key)?.entry
    if (!entry) return { message: 'It no longer exists.' }
    const read = readContent(this.kind, entry.content)
    return read.ok ? { baseRevision: entry.baseRevision, content: read.content } : { message: read.message }
  }

  discard(key: string): void {
    fromStorage(() => localStorage.removeItem(key))
    if (key === this.takenFrom) this.takenFrom = undefined
  }

  private read(entry: Entry): Draft<ContentOf<K>> | undefined {
    const read = readContent(this.kind, entry.content)
    return read.ok ? { baseRevision: entry.baseRevision, content: read.content } : undefined
  }

  private write(entry: Entry): boolean {
    const written = fromStorage(() => {
      localStorage.setItem(this.key, JSON.stringify(entry))
      sessionStorage.setItem(this.prefix, this.key)
      return true
    })
    if (written) this.held = entry
    return written ?? false
  }

  private entries(): { key: string; entry: Entry }[] {
    const keys = fromStorage(() => Object.keys(localStorage)) ?? []
    return keys.flatMap((key) => {
      // Before there were several, a document’s one draft went by the document’s name alone.
      if (key !== this.prefix && !key.startsWith(`${this.prefix}.`)) return []
      const entry = fromStorage(() => entrySchema.safeParse(JSON.parse(localStorage.getItem(key) ?? '')).data)
      return entry ? [{ key, entry }] : []
    })
  }
}
