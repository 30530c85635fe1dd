import { type LinkRef, linkKey } from '../documents/linkRef.ts'
import type { Told } from '../documents/tripEvent.ts'
import { judge } from '../moments/judge.ts'
import { MOMENT_NAMES } from '../moments/moments.ts'
import type { Setup } from '../setup/setup.ts'

/** A link that can break, and the chance that it is the first under a fish on the trace's first hook. */
export type BreakableLink = { key: string; ref: LinkRef; chance: number }

/** A chance as it is stored with every event: to a hundredth of a percent. */
const stored = (chance: number): number => Math.round(chance * 1e4) / 1e4

/** What is said of a trace: its verdicts, and which link breaks first, the likeliest first. */
export function toldOf(setup: Setup): { told: Told; links: BreakableLink[] } {
  const { moments, setup: prepared } = judge(setup)
  const verdicts = Object.fromEntries(
    MOMENT_NAMES.flatMap((name) => {
      const moment = moments[name]
      return moment ? [[name, moment.verdict] as const] : []
    }),
  )
  // Of several hooks, each breaks its own path: the chances of one path are what was said of it.
  const hook = prepared.ends.find(({ role }) => role === 'hook' || role === 'lure') ?? prepared.ends[0]
  const links = new Map<string, BreakableLink>()
  for (const end of prepared.ends) {
    const path = prepared.path(end.id)
    for (const [i, { ref }] of path.links.entries()) {
      const key = linkKey(ref)
      const chance = end === hook ? (path.first[i] ?? 0) : 0
      links.set(key, { key, ref, chance: Math.max(links.get(key)?.chance ?? 0, chance) })
    }
  }
  const byChance = [...links.values()].sort((a, b) => b.chance - a.chance)
  return {
    links: byChance,
    told: {
      verdicts,
      first: byChance.map(({ key, chance }) => ({ link: key, chance: stored(chance) })).filter(({ chance }) => chance > 0),
    },
  }
}
