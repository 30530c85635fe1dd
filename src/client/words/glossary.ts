/** A word of the trade: what it is, in at most two sentences. */
export type Term = { id: TermId; name: string; also?: readonly string[]; means: string }

export const TERM_IDS = [
  'fuse',
  'snood',
  'weakLink',
  'biteTrace',
  'topShot',
  'lineClass',
  'scope',
  'bow',
  'reserve',
  'springs',
  'slack',
  'chartDatum',
  'upTide',
  'gap',
  'snell',
] as const
export type TermId = (typeof TERM_IDS)[number]

export const GLOSSARY: readonly Term[] = [
  {
    id: 'fuse',
    name: 'fuse',
    means: 'The link that breaks first under a fish. Choose it, so that you lose as little as possible.',
  },
  { id: 'snood', name: 'snood', means: 'The short line from the trace to a hook.' },
  {
    id: 'weakLink',
    name: 'weak link',
    means: 'A thin line to the sinker. In a snag it breaks first, and the rest of the trace comes back.',
  },
  { id: 'biteTrace', name: 'bite trace', means: 'The last stretch to the hook, of wire or heavy line, against teeth.' },
  { id: 'topShot', name: 'top shot', means: 'Mono wound on top of braid. It stretches, wears well and can be untangled.' },
  {
    id: 'lineClass',
    name: 'line class',
    means: 'The strength of the main line. Drag, rod and reel are chosen by it.',
  },
  {
    id: 'scope',
    name: 'scope',
    means: 'Line out, divided by the depth or the distance. More scope pulls flatter, so the sinker holds better.',
  },
  {
    id: 'bow',
    name: 'bow',
    means: 'Extra line that the current bends into a curve. It pulls along the bottom, so a lighter sinker holds.',
  },
  {
    id: 'reserve',
    name: 'reserve',
    means: 'How much heavier than the lightest sinker that holds. It is for swell, swing and gusts.',
  },
  {
    id: 'springs',
    name: 'springs',
    also: ['neaps'],
    means:
      'Springs are the tides with the largest range and the strongest current, after new and full moon. Neaps, a week later, are the weakest.',
  },
  { id: 'slack', name: 'slack', means: 'The time when the current stops before it turns.' },
  {
    id: 'chartDatum',
    name: 'chart datum',
    means: 'The low level that depths on a chart are counted from. The tide comes on top.',
  },
  {
    id: 'upTide',
    name: 'up-tide',
    also: ['up-current'],
    means: 'Against the current. A sinker cast up-tide of an anchored boat is held by the bow in the line.',
  },
  { id: 'gap', name: 'gap', means: 'The distance from the point of a hook to its shank. The bait must leave enough of it open.' },
  { id: 'snell', name: 'snell', means: 'A knot of wraps around the shank of a hook. It pulls in line with the shank.' },
]

const BY_WORD = new Map(GLOSSARY.flatMap((term) => [term.name, ...(term.also ?? [])].map((word) => [word, term] as const)))
const PATTERN = new RegExp(
  `(?<![\\p{L}-])(${[...BY_WORD.keys()].toSorted((a, b) => b.length - a.length).join('|')})s?(?![\\p{L}-])`,
  'giu',
)

/** A text in pieces: plain ones, and the first place of each word of the glossary with its term. */
export function glossed(text: string): (string | { word: string; term: Term })[] {
  const seen = new Set<TermId>()
  const pieces: (string | { word: string; term: Term })[] = []
  let from = 0
  for (const match of text.matchAll(PATTERN)) {
    const [word] = match
    const plain = word.toLowerCase()
    const term = BY_WORD.get(plain) ?? BY_WORD.get(plain.replace(/s$/, ''))
    if (!term || seen.has(term.id)) continue
    seen.add(term.id)
    if (match.index > from) pieces.push(text.slice(from, match.index))
    pieces.push({ word, term })
    from = match.index + word.length
  }
  if (from < text.length) pieces.push(text.slice(from))
  return pieces
}
