import type { Calibration } from '../../../core/lessons/lessons.ts'
import { ReliabilityChart } from '../../charts/ReliabilityChart.tsx'
import type { KnownLessons } from '../../lessons/useLessons.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Sheet } from '../../ui/controls.tsx'

/** Compares the chances that Wide Reach gave with what happened. */
export function CalibrationPage({ known: { lessons } }: { known: KnownLessons }) {
  return (
    <>
      <p className="text-sm text-quiet">
        Each chance is stored with its event and never changes. On the dashed line, a chance of 70 % comes true 70 times in 100.
      </p>
      <Reliability title="A sinker holds" of={lessons.calibration.holds} />
      <Reliability title="A knot or line breaks first" of={lessons.calibration.breaks} />
    </>
  )
}

function Reliability({ title, of: { bins, of, brier } }: { title: string; of: Calibration }) {
  const show = useShow()
  return (
    <Sheet title={title}>
      {brier === undefined ? (
        <p>No prediction has been checked yet.</p>
      ) : (
        <div className="grid gap-x-6 gap-y-2 sm:grid-cols-[auto_minmax(0,1fr)]">
          <ReliabilityChart
            bins={bins}
            summary={`${title}: how often it happened, by how likely it was predicted to be. The figures are beside it.`}
          />
          <div>
            <ul className="grid gap-0.5">
              {bins.map(({ from, said, of: cases, happened, share }) => (
                <li key={from} className="tabular-nums">
                  Predicted {show.percent(said)}, happened {show.percent(happened / cases)} (n = {cases},{' '}
                  {show.percent(share.low)} to {show.percent(share.high)})
                </li>
              ))}
            </ul>
            <p className="mt-1 text-sm text-quiet">
              {of} in all. Brier score {show.number(brier, 3)}: 0 is perfect, and 0.25 is what always saying 50 % gets.
            </p>
          </div>
        </div>
      )}
    </Sheet>
  )
}
