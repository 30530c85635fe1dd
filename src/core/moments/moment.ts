export type Verdict = 'holds' | 'watch' | 'fails'
export type MomentName = 'cast' | 'settle' | 'run' | 'snag' | 'hand'

/** One input of a figure: its value in SI (or a word), its unit, and where it came from. */
export type Input = {
  name: string
  value: number | string
  unit: string
  from: 'document' | 'nominal' | 'own' | 'computed' | 'rule'
}

/** One verdict, the figure behind it, and what it rests on. */
export type Moment = {
  moment: MomentName
  verdict: Verdict
  /** The end (hook, lure, sinker) whose path decided. */
  end: string
  /** The link that decides. */
  decides: string
  figure: { name: string; value: number; unit: string }
  /** What the figure has over what it needs: above 1 is room to spare, by the moment's own measure. */
  margin: number
  inputs: Input[]
}

const RANK: Record<Verdict, number> = { holds: 0, watch: 1, fails: 2 }

/** The worse of two verdicts. */
export function worseVerdict(a: Verdict, b: Verdict): Verdict {
  return RANK[a] >= RANK[b] ? a : b
}

/** The result that decides a moment: the worst verdict, and among equals the least margin; the first wins a draw. */
export function worstOf<T extends { verdict: Verdict; margin: number }>(results: readonly T[]): T | undefined {
  return results.reduce<T | undefined>((worst, next) => {
    if (!worst) return next
    const byVerdict = RANK[next.verdict] - RANK[worst.verdict]
    return byVerdict > 0 || (byVerdict === 0 && next.margin < worst.margin) ? next : worst
  }, undefined)
}

/** Grades a figure that is better when larger. */
export function gradeAtLeast(figure: number, holds: number, watch: number): Verdict {
  return figure >= holds ? 'holds' : figure >= watch ? 'watch' : 'fails'
}
