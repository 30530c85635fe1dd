import type { SinkerShape } from '../catalogue/ids.ts'

/** A sinker in the box, and the number the crew knows it by. */
export type Owned = { shape: SinkerShape; massKg: number; number?: string | undefined }
