import type { Piece } from '../documents/trace.ts'

/** What a piece is called: its label, else its id as words. */
export function pieceName({ id, label }: Pick<Piece, 'id' | 'label'>): string {
  return label ?? id.replaceAll('-', ' ')
}

/** A part with its article: “the leader”, but “boom a”, “hook 2”. */
export function withArticle(name: string): string {
  return / ([a-z]|\d+)$/.test(name) ? name : `the ${name}`
}
