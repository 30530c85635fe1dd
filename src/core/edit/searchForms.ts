import { FAMILY_IDS, familyName } from '../catalogue/familyIds.ts'
import { FAMILY_SYNONYMS, MATERIAL_SYNONYMS, PART_SYNONYMS } from './synonyms.ts'

/** Case, hyphens and runs of spaces do not count in a search. */
export const plainText = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[-\s]+/g, ' ')
    .trim()

/** Each other word with the name that it stands for here. */
const NAMES: readonly (readonly [other: string, name: string])[] = [
  ...Object.entries(PART_SYNONYMS).flatMap(([name, others]) => others.map((other) => [other, name] as const)),
  ...Object.entries(MATERIAL_SYNONYMS),
  ...FAMILY_IDS.flatMap((id) => (FAMILY_SYNONYMS[id] ?? []).map((other) => [other, familyName(id)] as const)),
].map(([other, name]) => [plainText(other), plainText(name)])

/** The texts to search for: the typed one first, then one for each word of another region, with the name used here. */
export function searchForms(typed: string): string[] {
  const plain = plainText(typed)
  const words = ` ${plain} `
  const named = NAMES.filter(([other]) => words.includes(` ${other} `)).map(([other, name]) =>
    words.replace(` ${other} `, ` ${name} `).trim(),
  )
  return [...new Set([plain, ...named])]
}

/** Whether a text, made plain, has every word of a search in one of its forms, in any order. */
export const isFound = (plain: string, forms: readonly string[]): boolean =>
  forms.some((form) => form.split(' ').every((word) => plain.includes(word)))
