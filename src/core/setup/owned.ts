import type { SinkerShape } from '../catalogue/ids.ts'

/** A sinker in the box. */
export type Owned = { shape: SinkerShape; massKg: number }
