import type { Piece } from '../documents/trace.ts'

/** What a piece is called: its label, else its id as words. */
export function pieceName({ id, label }: Pick<Piece, 'id' | 'label'>): string {
  return label ?? id.replaceAll('-', ' ')
}

/** A name after “a” or “an”, as it is spoken: “an improved clinch”, “an 8/0”, “a uni”. */
export const withA = (name: string): string => `${/^(8|11\b|18\b|[aeio]|u(?!ni|s|t)|FG\b)/i.test(name) ? 'an' : 'a'} ${name}`

/** The same at the beginning of a sentence. */
export const beginsWithA = (name: string): string => withA(name).replace(/^a/, 'A')

/** A part with its article: “the leader”, but “boom a”, “hook 2”. */
export function withArticle(name: string): string {
  return / ([a-z]|\d+)$/.test(name) ? name : `the ${name}`
}
