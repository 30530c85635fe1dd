import { durationWords } from '../../words/durationWords.ts'
import { BigButton } from './BigButton.tsx'

type Props = { aheadMs: number; onFollow: () => void }

/** Says that the clock of this phone and the server’s do not agree, and puts right what was logged by it. */
export function ClockNote({ aheadMs, onFollow }: Props) {
  if (aheadMs === 0) return null
  return (
    <section aria-label="Clock" className="grid gap-2 rounded-lg border border-watch bg-sheet p-3">
      <p>
        This phone’s clock is {durationWords(Math.abs(aheadMs))} {aheadMs > 0 ? 'ahead of' : 'behind'} the server’s. Which one is
        right? The tide goes by the clock.
      </p>
      <BigButton name="Use the server’s time" below="also for what this phone logged on this trip" onClick={onFollow} />
    </section>
  )
}
