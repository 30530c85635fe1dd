import { capital } from '../../core/units/capital.ts'

export const REGIONS = ['default', 'britain', 'northAmerica', 'southernAfrica', 'australasia'] as const
export type Region = (typeof REGIONS)[number]

type Terms = Partial<Record<Exclude<Region, 'default'>, string>>

/** Each term as the application writes it, and the word of a region where that has another. */
// biome-ignore format: a table reads better in columns
export const REGION_WORDS: Readonly<Record<string, Terms>> = {
  trace: { britain: 'rig', northAmerica: 'rig', australasia: 'rig' },
  sinker: { britain: 'lead' },
  'lead sinker': { britain: 'lead' },
  snood: { northAmerica: 'dropper', southernAfrica: 'hook snood', australasia: 'dropper' },
  leader: { britain: 'shock leader', australasia: 'trace leader' },
  'bite trace': { northAmerica: 'bite leader', australasia: 'wire trace' },
  'weak link': { britain: 'rotten bottom', northAmerica: 'breakaway link' },
  'wired grip': { britain: 'grip lead', northAmerica: 'sputnik', southernAfrica: 'grapnel sinker', australasia: 'star sinker' },
  bomb: { northAmerica: 'bank sinker' },
  pear: { northAmerica: 'pear bank sinker' },
  ball: { northAmerica: 'egg sinker' },
  pyramid: { southernAfrica: 'diamond' },
  barrel: { britain: 'barrel lead', australasia: 'bean' },
  'barrel sinker': { britain: 'barrel lead', australasia: 'bean sinker' },
  'running ledger': { northAmerica: 'fish-finder rig', southernAfrica: 'running trace', australasia: 'running sinker rig' },
  'boom paternoster': { britain: 'flapper', northAmerica: 'high-low rig', australasia: 'paternoster' },
  'three-way bottom rig': { southernAfrica: 'three-way trace' },
  'rotating trace': { britain: 'helicopter rig', northAmerica: 'rotating rig', australasia: 'rotating rig' },
  'linked hooks': { northAmerica: 'ganged hooks', australasia: 'gang hooks' },
  'sliding float': { northAmerica: 'slip float' },
  'stop knot': { northAmerica: 'bobber stop' },
  'sinker against the hook': { britain: 'lead against the hook', northAmerica: 'knocker rig', australasia: 'ball to the hook' },
  'live-bait leader': { northAmerica: 'fly-line rig' },
  snap: { britain: 'clip', southernAfrica: 'clip' },
  boom: { northAmerica: 'spreader arm' },
  crimp: { northAmerica: 'crimp sleeve' },
  clinch: { britain: 'half blood', australasia: 'half blood' },
  'improved clinch': { britain: 'tucked half blood', australasia: 'locked half blood' },
  uni: { britain: 'grinner' },
  'double uni': { britain: 'double grinner' },
  'surgeon’s loop': { britain: 'double overhead loop' },
  'spinning reel': { britain: 'fixed-spool reel', southernAfrica: 'coffee grinder', australasia: 'threadline reel' },
  'overhead reel': { britain: 'multiplier', northAmerica: 'conventional reel' },
  mono: { southernAfrica: 'nylon' },
  mark: { northAmerica: 'spot' },
  current: { britain: 'tide run' },
  treble: { northAmerica: 'treble hook' },
  gap: { britain: 'gape', australasia: 'gape' },
}

/** Where a term is part of another, or is meant in another sense. */
const KEPT: readonly string[] = [
  'ball-bearing',
  'snap swivel',
  'double-sleeve crimp',
  'casting leader',
  'live-bait leader',
  'wind-on leader',
  'barrel swivel',
  'double-barrel',
  'line mark',
  'gap next to the eye',
  'gap of the eye',
  'gap between',
  'same gap',
  'open a gap',
  'through the gap',
  'no gap',
  'ball to the hook',
]

/** Writes a text in the words of a region: whole words and their plurals, with the article that fits. */
export function inRegion(region: Region): (text: string) => string {
  if (region === 'default') return (text) => text
  const words = new Map(
    Object.entries(REGION_WORDS).flatMap(([term, terms]) => {
      const word = terms[region]
      // A word of the region that is there already stays, so that nothing is replaced twice.
      return word === undefined ? [] : [[term, word] as const, [word, word] as const]
    }),
  )
  for (const phrase of KEPT) if (!words.has(phrase)) words.set(phrase, phrase)
  const longestFirst = [...words.keys()].sort((a, b) => b.length - a.length)
  const pattern = new RegExp(`(?<![\\p{L}\\d-])(?:(an?) )?(${longestFirst.join('|')})(s?)(?![\\p{L}\\d])`, 'giu')
  return (text) =>
    text.replace(pattern, (all: string, article: string | undefined, term: string, plural: string) => {
      const word = words.get(term.toLowerCase())
      if (word === undefined || word === term.toLowerCase()) return all
      const cased = /^\p{Lu}/u.test(term) ? capital(word) : word
      return `${article === undefined ? '' : `${articleFor(article, word)} `}${cased}${plural}`
    })
}

function articleFor(article: string, word: string): string {
  const right = /^[aeiou]/i.test(word) ? 'an' : 'a'
  return article.startsWith('A') ? capital(right) : right
}
