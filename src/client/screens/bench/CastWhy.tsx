import type { Cast } from '../../../core/moments/cast.ts'
import { useShow } from '../../settings/preferences.tsx'

const BEGINS = {
  leader: 'The leader lies on the spool, so it alone takes the cast.',
  topShot: 'Leader and top shot together lie on the spool, so they take the cast.',
  main: 'The leader does not reach the spool: the main line takes the cast.',
} as const

/** Whether the leader reaches the reel, what every link needs, and the weak link against the cast. */
export function CastWhy({ cast }: { cast: Cast }) {
  const show = useShow()
  const { beginsAt, leaderM, leaderNeededM, turnsOnSpool, neededN, ruleN, weakLink } = cast
  return (
    <div className="mb-3 grid gap-2 text-sm">
      <p>
        {BEGINS[beginsAt]}{' '}
        {leaderM > 0 &&
          (turnsOnSpool > 0
            ? `${turnsOnSpool.toFixed(1)} turns of leader are on the reel; four to six are wanted.`
            : `It ends ${show.computed('length', leaderNeededM - leaderM)} short of four turns on the reel.`)}
      </p>
      <p>
        For this sinker every link needs <strong>{show.computed('strength', neededN)}</strong>; the shore angler’s rule of 10 lb
        an ounce asks for a leader of {show.computed('strength', ruleN)}.
      </p>
      {weakLink && (
        <p>
          The weak link alone would bear {weakLink.overPeak.toFixed(1)} times the peak:{' '}
          {weakLink.bridged
            ? 'a release clip carries the cast past it.'
            : weakLink.overPeak >= 3
              ? 'it takes the cast without a clip.'
              : 'it needs a release clip, or a gentler cast.'}
        </p>
      )}
    </div>
  )
}
