import { z } from 'zod'
import { MAX_NAME } from './vocabulary.ts'

/** Half of a character that is written as two: the whole ones are not met by this. */
const HALF_A_CHARACTER = /\p{Surrogate}/u
const NUL = '\u0000'

const canBeStored = (typed: string) => !typed.includes(NUL) && !HALF_A_CHARACTER.test(typed)

/** Text of so many code points at most that any database, file and browser takes as it is; what is not is looked at no further. */
export const text = (most: number) =>
  z
    .string()
    .max(most, { error: `is over ${most} letters`, abort: true })
    .refine(canBeStored, { error: 'contains a character that cannot be stored', abort: true })

/** Text with something in it besides blanks, which are cut off its ends. */
export const filledText = (most: number, empty: string) => text(most).trim().min(1, empty)

/** The beginning of a text, at most so many code points: never half a character. */
export const cutText = (long: string, most: number): string => [...long.slice(0, 2 * most)].slice(0, most).join('')

/** The name of a copy. */
export const copyName = (name: string): string => cutText(`${name}, copy`, MAX_NAME)
