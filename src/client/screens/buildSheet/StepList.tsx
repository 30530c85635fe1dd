import { linesTied, type Step } from '../../../core/build/steps.ts'
import type { Rig } from '../../../core/setup/setup.ts'
import type { BatchWork } from '../../api/batches.ts'
import { KnotLink } from '../../fishing/KnotLink.tsx'
import { useShow } from '../../settings/preferences.tsx'
import { stepPart } from './batchParts.ts'
import { Counter } from './Counter.tsx'
import { stepWords } from './stepWords.ts'

type Props = { steps: readonly Step[]; rig: Rig; count: number; work?: BatchWork | undefined }

/** The steps in order; of a batch with how many traces each is done on. */
export function StepList({ steps, rig, count, work }: Props) {
  const show = useShow()
  return (
    <ol className="list-decimal pl-6">
      {steps.map((step, place) => {
        const { text, why } = stepWords(step, rig, show)
        const part = stepPart(step, place)
        return (
          <li key={text} className="border-t border-rule py-1.5 pl-1 marker:font-semibold">
            <div className="flex flex-wrap items-start gap-x-3">
              <p className="min-w-60 flex-1">
                {text}{' '}
                {'joint' in step && (
                  <KnotLink
                    joint={step.joint}
                    lines={linesTied(step, rig)}
                    turns={step.turns}
                    name={rig.catalogue.connections[step.joint.connection].name}
                  />
                )}
                {why && <span className="block text-sm text-quiet">{why}</span>}
              </p>
              {/* The connection to the main line is tied at the water, one trace at a time. */}
              {work && step.do !== 'connect' && (
                <Counter
                  label={`Step ${place + 1}`}
                  done={work.progress?.parts[part] ?? 0}
                  of={count}
                  onTick={(change) => work.tick(part, change, count)}
                />
              )}
            </div>
          </li>
        )
      })}
    </ol>
  )
}
