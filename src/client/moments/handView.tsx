import { type LinkRef, pieceRef, sameLink } from '../../core/documents/linkRef.ts'
import { GRAVITY_M_PER_S2 } from '../../core/math/constants.ts'
import type { Hand, HandCause } from '../../core/moments/hand.ts'
import { HAND_OVER_PULL, HAND_OVER_WEIGHT, LONGEST_DROP_M } from '../../core/moments/thresholds.ts'
import { withArticle } from '../../core/setup/names.ts'
import type { Setup } from '../../core/setup/setup.ts'
import { percent } from '../../core/units/percent.ts'
import type { Show } from '../settings/show.ts'
import { ROD_HELD_WORDS, RUSH_INPUTS, rushFigure } from '../words/rushWords.ts'
import type { MomentView } from './momentView.ts'
import { useWording } from './useWording.ts'

export const HAND_VIEW: MomentView<Hand> = {
  rule: (show) =>
    `The weakest link from the hand to the hook over what it carries of the fish. Lifted or netted, that is its dead weight or a share of it: ${show.plain(HAND_OVER_WEIGHT.holds)} times holds, ${show.plain(HAND_OVER_WEIGHT.watch)} is watch. A fish that is not lifted pulls at most what a person holds, or on the rod what the drag gives: ${show.plain(HAND_OVER_PULL.holds)} times holds, ${show.plain(HAND_OVER_PULL.watch)} is watch. Out of reach is watch at best. A last sudden run under the rod tip must not break it.`,
  absent: () => 'Nothing to lift: the trace has neither a hook nor a lure.',
  figure: (hand, { show }) => {
    const { weightN, borneN, overPull, deciding, fishAssumed } = hand
    if (deciding.cause === 'rush') return rushFigure(deciding.rush, show)
    if (deciding.cause !== 'weight') return REACH[deciding.cause](hand, show)
    if (fishAssumed) return 'No fish given: only the reach is judged.'
    const what = borneN < weightN ? 'the pull of' : 'the weight of'
    return `Holds ${show.number(overPull, 1)} times ${what} a ${show.computed('fish', weightN / GRAVITY_M_PER_S2)} fish.`
  },
  decides: (hand, { show, nameOf }) => alsoOutOfReach(hand, show) ?? `Weakest: ${nameOf(hand.decides)}`,
  inputs: {
    fish: 'fish',
    deadWeight: 'dead weight',
    landing: 'landed',
    borne: 'share carried',
    freeboard: 'freeboard',
    handAboveHook: 'hand holds the line above the hook',
    weakestFromHand: 'weakest from there',
    rodLength: 'rod',
    beyondTipRing: 'beyond the tip ring',
    rodBrings: 'rod held up reaches',
    dropToSinker: 'drop to the sinker',
    ...RUSH_INPUTS,
  },
  words: ({ catalogue }) => ({
    ...Object.fromEntries(Object.entries(catalogue.landings).map(([id, { name }]) => [id, name])),
    ...ROD_HELD_WORDS,
  }),
  Why: HandWhy,
}

/** What keeps a fish out of the hand, in a sentence. */
const REACH: Record<Exclude<HandCause, 'weight' | 'rush'>, (hand: Hand, show: Show) => string> = {
  outOfReach: () => 'The trace is too short for the hand to reach.',
  tooLong: ({ deciding }, show) => `${show.computed('length', deciding.beyondTipM)} hang from the rod tip: too long to land.`,
  longDrop: ({ longDrop }, show) =>
    `The drop of ${show.computed('length', longDrop?.lengthM ?? 0)} to the sinker takes more than one lift.`,
}

/** What else keeps the fish out of the hand where something worse decides; undefined where nothing does. */
function alsoOutOfReach(hand: Hand, show: Show): string | undefined {
  const { cause, outOfReach, tooLong } = hand.deciding
  const others = [outOfReach && 'outOfReach', tooLong && 'tooLong', hand.longDrop && 'longDrop'] as const
  const other = others.find((each): each is keyof typeof REACH => Boolean(each) && each !== cause)
  return other && REACH[other](hand, show)
}

/** What the hand gets hold of, what hangs beyond the tip ring, and what cuts. */
function HandWhy({ result: hand, setup }: { result: Hand; setup: Setup }) {
  const { show, nameOf } = useWording(setup)
  const { deciding, longDrop, cuts } = hand
  const the = (ref: LinkRef) => withArticle(nameOf(ref))
  const hangs = show.computed('length', deciding.beyondTipM)
  return (
    <div className="mb-3 grid gap-2 text-sm">
      <p>
        {deciding.inHand === undefined
          ? 'The rod brings the fish in; no hand holds the line.'
          : deciding.outOfReach
            ? `The trace is shorter than the reach down to the fish. The hand holds ${the(deciding.inHand)}.`
            : `Bent down, the hand holds ${the(deciding.inHand)}, ${show.computed('length', deciding.atM)} above the hook.`}
      </p>
      <p>
        {sameLink(deciding.stopsAt, pieceRef(deciding.end))
          ? 'Every knot passes the guides, so the trace winds in to the hook.'
          : `At the tip ring ${the(deciding.stopsAt)} stops, with ${hangs} beyond it. The rod held up reaches ${show.computed('length', deciding.rodReachM)}. ${
              deciding.tooLong ? 'Pull the rest in by hand.' : ''
            } ${deciding.beadAtTip ? 'A bead protects the tip ring.' : 'No bead protects the tip ring.'}`}
      </p>
      <p className={deciding.rush.verdict === 'holds' ? '' : 'font-semibold text-watch'}>
        A last sudden run under the rod tip pulls up to {show.computed('strength', deciding.rush.peakN)} with the rod{' '}
        {ROD_HELD_WORDS[setup.conditions.rodHeld]}: nothing goes {percent(deciding.rush.survival)} of the time.
      </p>
      {longDrop && (
        <p className="text-watch">
          The drop of {show.computed('length', longDrop.lengthM)} to the sinker is too long for one lift, which brings{' '}
          {LONGEST_DROP_M} m does.
        </p>
      )}
      <p className={cuts ? 'font-semibold text-watch' : 'text-quiet'}>
        {cuts === 'braid'
          ? 'Braid under load cuts to the bone. Wear gloves or let the rod do it.'
          : cuts === 'wire'
            ? 'Wear gloves: there is wire in the hand.'
            : 'Wear gloves.'}{' '}
        Never wrap line or leader round a hand.
      </p>
    </div>
  )
}
