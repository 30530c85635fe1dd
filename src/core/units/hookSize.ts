import { isTooLong } from './typed.ts'

/**
 * A hook size as anglers write it. Plain numbers fall as hooks grow (10 … 2, 1); aughts rise (1/0, 2/0 …).
 * `step` puts them in one order, growing with the hook: size 1 is 0, 1/0 is 1, size 2 is −1.
 */
export type HookSize = { label: string; step: number; aught: boolean }

export type ParsedHookSize = { ok: true; size: HookSize } | { ok: false; message: string }

/** Reads `2/0`, `#2`, `size 2`, `2`: a number without “/0” is the small hook, and says so. */
export function parseHookSize(text: string): ParsedHookSize {
  if (isTooLong(text)) return { ok: false, message: 'This is too long. Write 2/0 (large) or #2 (small).' }
  const typed = text.trim().toLowerCase()
  const aught = /^(?:#|size\s*)?(\d{1,2})\s*\/\s*0$/.exec(typed)
  const plain = /^(?:#|size\s*)?(\d{1,2})$/.exec(typed)
  const number = Number((aught ?? plain)?.[1])
  if (!(number >= 1 && number <= 24))
    return { ok: false, message: `“${text}” is not a hook size: write 2/0 (large) or #2 (small).` }
  return {
    ok: true,
    size: aught ? { label: `${number}/0`, step: number, aught: true } : { label: `${number}`, step: 1 - number, aught: false },
  }
}

/** The place of a size in the order of sizes, see `HookSize`; 0 where the text is no size. */
export const hookStep = (text: string): number => {
  const parsed = parseHookSize(text)
  return parsed.ok ? parsed.size.step : 0
}

/** The size with what it means, so that 2 is never mistaken for 2/0. */
export function describeHookSize(size: HookSize): string {
  const number = size.label.replace('/0', '')
  return size.aught ? `${size.label} (large; not size ${number})` : `size ${number} (small; not ${number}/0)`
}
