/** What keeps a word on a drawing legible over its lines. */
export const HALO = { paintOrder: 'stroke', stroke: 'var(--sheet)', strokeWidth: 4 } as const
