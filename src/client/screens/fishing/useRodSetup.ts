import { useMemo } from 'react'
import { tried } from '../../../core/analysis/judged.ts'
import { toldOf } from '../../../core/analysis/told.ts'
import { hookPieces } from '../../../core/documents/pieces.ts'
import type { TripRod } from '../../../core/documents/trip.ts'
import type { Told } from '../../../core/documents/tripEvent.ts'
import { pieceName } from '../../../core/setup/names.ts'
import type { SavedOutfit } from '../../api/documents.ts'
import { useTripSetup } from '../../plan/useTripSetup.ts'
import { linkName } from '../../words/names.ts'

/** A link that can break, as it is offered: the likeliest under a fish first. */
export type NamedLink = { key: string; name: string; chance: number }

/** A hook of the trace, as it is offered. */
export type NamedHook = { id: string; name: string }

const NOTHING_SAID: { told: Told | undefined; links: NamedLink[] } = { told: undefined, links: [] }

/** The trace on a rod with what the application says of it now, to be stored with what happens. */
export function useRodSetup(trace: TripRod['trace'], outfit: SavedOutfit | undefined) {
  const setup = useTripSetup(trace, outfit)
  const said = useMemo(() => {
    if (!setup) return NOTHING_SAID
    const answer = tried(() => toldOf(setup))
    if (!answer.ok) return NOTHING_SAID
    const { told, links } = answer.value
    return { told, links: links.map(({ key, ref, chance }) => ({ key, name: linkName(setup, ref), chance })) }
  }, [setup])
  const hooks = useMemo(
    (): NamedHook[] => (setup ? hookPieces(setup.trace).map((hook) => ({ id: hook.id, name: pieceName(hook) })) : []),
    [setup],
  )
  return { setup, hooks, ...said }
}
