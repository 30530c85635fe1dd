import type { Hand } from '../../../core/moments/hand.ts'
import { withArticle } from '../../../core/trace/names.ts'
import type { Outfit } from '../../../core/trace/outfit.ts'
import type { Trace } from '../../../core/trace/schema.ts'
import { useShow } from '../../settings/preferences.tsx'
import { linkName } from '../../words/names.ts'

/** What the hand gets hold of, what hangs beyond the tip ring, and what cuts. */
export function HandWhy({ hand, trace, outfit }: { hand: Hand; trace: Trace; outfit: Outfit }) {
  const show = useShow()
  const { deciding, longDrop, cuts } = hand
  const the = (id: string) => withArticle(linkName(trace, outfit, id))
  const hangs = show.computed('length', deciding.beyondTipM)
  return (
    <div className="mb-3 grid gap-2 text-sm">
      <p>
        {deciding.outOfReach
          ? `The trace is shorter than the reach down to the fish: the hand is left with ${the(deciding.inHand)}.`
          : `Bent down, the hand gets hold of ${the(deciding.inHand)}, ${show.computed('length', deciding.atM)} above the hook.`}
      </p>
      <p>
        {deciding.stopsAt === deciding.end
          ? 'Every join passes the guides: the trace winds in to the hook.'
          : `At the tip ring ${the(deciding.stopsAt)} stops, with ${hangs} still beyond it; the rod held up brings ${show.computed('length', deciding.rodReachM)}. ${
              deciding.tooLong ? 'The rest is hand over hand.' : ''
            } ${deciding.beadAtTip ? 'A bead takes the knock.' : 'No bead spares the tip ring there.'}`}
      </p>
      {longDrop && (
        <p className="text-watch">
          The drop of {show.computed('length', longDrop.lengthM)} to the sinker does not come in with one lift: 1.5 m does.
        </p>
      )}
      <p className={cuts ? 'font-semibold text-watch' : 'text-quiet'}>
        {cuts === 'braid'
          ? 'Braid under load cuts to the bone: gloves, or let the rod do it.'
          : cuts === 'wire'
            ? 'Wire in the hand: gloves.'
            : 'Gloves on.'}{' '}
        Never wrap line or leader round a hand.
      </p>
    </div>
  )
}
