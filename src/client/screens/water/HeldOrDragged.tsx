import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Trash2 } from 'lucide-react'
import { toast } from 'sonner'
import { HOLD_KINDS, holdKindOf } from '../../../core/gear/grip.ts'
import { countsLesson, gripLesson, type Hold, type Lesson } from '../../../core/mark/mark.ts'
import { demandOn } from '../../../core/settling/demand.ts'
import { leastToHold } from '../../../core/settling/least.ts'
import type { Settling } from '../../../core/settling/settling.ts'
import { dateIn } from '../../../core/time/localDay.ts'
import { isCastMethod } from '../../../core/trace/waterConditions.ts'
import { marksQuery, type SavedMark, saveMark } from '../../api/water.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button } from '../../ui/controls.tsx'

/** Near slack anything holds, and nothing is learned from it. */
const LEAST_DEMAND = 0.01

type Props = { mark: SavedMark; settling: Settling; at: number; clock: (timeMs: number) => string }

/** Writes down that the sinker held or dragged here, and shows what the mark has taught: before, what was seen, and after. */
export function HeldOrDragged({ mark, settling, at, clock }: Props) {
  const show = useShow()
  const client = useQueryClient()
  const { content } = mark
  const { weight } = settling
  const { method } = settling.water
  const demand = demandOn(settling, leastToHold(settling))
  const save = useMutation({
    mutationFn: (holds: Hold[]) => saveMark(mark.id, mark.revision, { ...content, holds }),
    onSuccess: (result) => {
      const now = 'saved' in result ? result.saved : result.stale
      if ('stale' in result) toast.error('The mark was changed elsewhere since: it is read anew, say it again.')
      client.setQueryData(marksQuery.queryKey, (old) => old?.map((each) => (each.id === now.id ? now : each)))
    },
    onError: (error) => toast.error(error.message),
  })
  const holds = content.holds ?? []
  const saw = (held: boolean) =>
    save.mutate([
      ...holds,
      { at: new Date(at).toISOString(), method, shape: weight.shape, massKg: weight.massKg, demand: demand!, held },
    ])
  const worthSaying = demand !== undefined && demand > LEAST_DEMAND
  const cast = isCastMethod(method)
  const kind = holdKindOf(weight.shape)
  const lesson = cast ? gripLesson(content, kind) : countsLesson(content, method)
  return (
    <section aria-label="What held and dragged here" className="no-print mt-3 border-t border-rule pt-2 text-sm">
      <div className="flex flex-wrap items-center gap-2">
        <span className="mr-auto">
          {show.computed('mass', weight.massKg)} at {clock(at)}:
        </span>
        <Button disabled={!worthSaying || save.isPending} onClick={() => saw(true)}>
          It held
        </Button>
        <Button disabled={!worthSaying || save.isPending} onClick={() => saw(false)}>
          It dragged
        </Button>
      </div>
      <p className="mt-1">
        {cast ? gripWords(lesson, HOLD_KINDS[kind]) : reserveWords(lesson)}
        {cast && kind === 'wired' && ' Wires do not truly grip by weight: take it as rough.'}
      </p>
      {lesson.evidence.length > 0 && (
        <ul className="mt-1" aria-label="What was seen">
          {lesson.evidence.map((hold) => (
            <li key={`${hold.at} ${hold.massKg} ${hold.held}`} className="flex items-center gap-2 border-t border-rule">
              <span className="mr-auto">
                {dateIn(content.timeZone, Date.parse(hold.at))} {clock(Date.parse(hold.at))}: {show.entered('mass', hold.massKg)}{' '}
                {hold.held ? 'held' : 'dragged'}{' '}
                {cast
                  ? `a pull of ${hold.demand.toFixed(2)} times its weight`
                  : `at ${(1 / hold.demand).toFixed(2)} times the least`}
              </span>
              <Button
                tone="quiet"
                aria-label="Take this out"
                title="Take this out"
                disabled={save.isPending}
                onClick={() => save.mutate(holds.filter((each) => each !== hold))}
              >
                <Trash2 className="size-4" aria-hidden="true" />
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

const seen = ({ evidence }: Lesson) =>
  `after ${evidence.filter(({ held }) => held).length} held and ${evidence.filter(({ held }) => !held).length} dragged`

function gripWords(lesson: Lesson, kind: string): string {
  const { prior, evidence, posterior } = lesson
  const before = `Grip of ${kind} on this bed: ${prior.median.toFixed(2)} by the book`
  if (evidence.length === 0) return `${before}, nothing seen here yet.`
  return `${before}; ${seen(lesson)} here, ${posterior.median.toFixed(2)} (${posterior.low.toFixed(2)} to ${posterior.high.toFixed(2)}, four times in five).`
}

/** The reserve is one over the share that counts, so its ends change places. */
function reserveWords(lesson: Lesson): string {
  const { prior, evidence, posterior } = lesson
  const before = `Reserve for hanging sinkers: ${(1 / prior.median).toFixed(2)} by the book`
  if (evidence.length === 0) return `${before}, nothing seen here yet.`
  return `${before}; ${seen(lesson)} here, ${(1 / posterior.median).toFixed(2)} (${(1 / posterior.high).toFixed(2)} to ${(1 / posterior.low).toFixed(2)}, four times in five).`
}
