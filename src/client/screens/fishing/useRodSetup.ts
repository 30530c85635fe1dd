import { useMemo } from 'react'
import { tried } from '../../../core/analysis/judged.ts'
import { linkKey } from '../../../core/documents/linkRef.ts'
import type { TripRod } from '../../../core/documents/trip.ts'
import type { Told } from '../../../core/documents/tripEvent.ts'
import { judge } from '../../../core/moments/judge.ts'
import { MOMENT_NAMES } from '../../../core/moments/moments.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import type { SavedOutfit } from '../../api/documents.ts'
import { useTripSetup } from '../../plan/useTripSetup.ts'
import { linkName } from '../../words/names.ts'

/** A link that can break, as it is offered: the likeliest under a fish first. */
export type BreakableLink = { key: string; name: string; chance: number }

/** The trace on a rod with what the application says of it now, to be stored with what happens. */
export function useRodSetup(trace: TripRod['trace'], outfit: SavedOutfit | undefined) {
  const setup = useTripSetup(trace, outfit)
  const said = useMemo(() => (setup ? tried(() => saidOf(setup)) : undefined), [setup])
  return { setup, ...(said?.ok ? said.value : NOTHING_SAID) }
}

const NOTHING_SAID: { told: Told | undefined; links: BreakableLink[] } = { told: undefined, links: [] }

function saidOf(setup: Setup): { told: Told; links: BreakableLink[] } {
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
      const known = links.get(key)
      links.set(key, { key, name: linkName(setup, ref), chance: Math.max(known?.chance ?? 0, chance) })
    }
  }
  const byChance = [...links.values()].sort((a, b) => b.chance - a.chance)
  return {
    links: byChance,
    told: { verdicts, first: byChance.filter(({ chance }) => chance > 0).map(({ key, chance }) => ({ link: key, chance })) },
  }
}
