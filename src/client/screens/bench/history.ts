/** Undo and redo over whole documents. Edits under one tag in a row (keystrokes in a field) are one step. */
export type History<T> = { past: readonly T[]; present: T; future: readonly T[]; tag: string | undefined }

export type HistoryAction<T> =
  | { type: 'edit'; change: (present: T) => T; tag?: string | undefined }
  | { type: 'undo' }
  | { type: 'redo' }
  /** A field was left: the next keystroke is a new step. */
  | { type: 'settle' }

const MAX_STEPS = 200

export const startHistory = <T>(present: T, past: readonly T[] = []): History<T> => ({
  past,
  present,
  future: [],
  tag: undefined,
})

export function historyReducer<T>(history: History<T>, action: HistoryAction<T>): History<T> {
  const { past, present, future, tag } = history
  switch (action.type) {
    case 'edit': {
      const next = action.change(present)
      if (next === present) return history
      const sameStep = action.tag !== undefined && action.tag === tag
      return { past: sameStep ? past : [...past, present].slice(-MAX_STEPS), present: next, future: [], tag: action.tag }
    }
    case 'undo': {
      const previous = past.at(-1)
      return previous === undefined
        ? history
        : { past: past.slice(0, -1), present: previous, future: [present, ...future], tag: undefined }
    }
    case 'redo': {
      const [next, ...rest] = future
      return next === undefined ? history : { past: [...past, present], present: next, future: rest, tag: undefined }
    }
    case 'settle':
      return tag === undefined ? history : { ...history, tag: undefined }
  }
}
