import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Trash2 } from 'lucide-react'
import { toast } from 'sonner'
import { HOLD_KINDS, holdKindOf } from '../../../core/gear/grip.ts'
import { countsLesson, gripLesson, type Lesson, type Mark, withHold } from '../../../core/mark/mark.ts'
import { demandOn } from '../../../core/settling/demand.ts'
import type { Learned } from '../../../core/settling/learn.ts'
import { leastToHold } from '../../../core/settling/least.ts'
import type { Settling } from '../../../core/settling/settling.ts'
import { dateIn } from '../../../core/time/localDay.ts'
import { isCastMethod } from '../../../core/trace/waterConditions.ts'
import { marksQuery, type SavedMark, saveMark } from '../../api/water.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button } from '../../ui/controls.tsx'

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
    mutationFn: (next: Mark) => saveMark(mark.id, mark.revision, next),
    onSuccess: (result) => {
      const now = 'saved' in result ? result.saved : result.stale
      if ('stale' in result) toast.error('The mark was changed elsewhere since: it is read anew, say it again.')
      client.setQueryData(marksQuery.queryKey, (old) => old?.map((each) => (each.id === now.id ? now : each)))
    },
    onError: (error) => toast.error(error.message),
  })
  const saw = (held: boolean) =>
    save.mutate(
      withHold(content, {
        at: new Date(at).toISOString(),
        method,
        shape: weight.shape,
        massKg: weight.massKg,
        demand: demand!,
        held,
      }),
    )
  const cast = isCastMethod(method)
  const kind = holdKindOf(weight.shape)
  const lesson = cast ? gripLesson(content, kind) : countsLesson(content, method)
  return (
    <section aria-label="What held and dragged here" className="no-print mt-3 border-t border-rule pt-2 text-sm">
      <div className="flex flex-wrap items-center gap-2">
        <span className="mr-auto">
          {show.computed('mass', weight.massKg)} at {clock(at)}:
        </span>
        <Button disabled={demand === undefined || save.isPending} onClick={() => saw(true)}>
          It held
        </Button>
        <Button disabled={demand === undefined || save.isPending} onClick={() => saw(false)}>
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
            <li key={`${hold.at} ${hold.shape} ${hold.massKg}`} className="flex items-center gap-2 border-t border-rule">
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
                onClick={() => save.mutate({ ...content, holds: content.holds?.filter((each) => each !== hold) })}
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

const seen = ({ evidence }: Pick<Lesson, 'evidence'>) =>
  `after ${evidence.filter(({ held }) => held).length} held and ${evidence.filter(({ held }) => !held).length} dragged`

/** A figure with what it is passed by nine times in ten, and one in ten. */
const spread = (median: number, low: number, high: number) => `${median.toFixed(2)} (${low.toFixed(2)} to ${high.toFixed(2)})`

function gripWords(lesson: Lesson, kind: string): string {
  const words = ({ median, low, high }: Learned) => spread(median, low, high)
  return lessonWords(`Grip of ${kind} on this bed`, lesson, words)
}

/** The reserve is one over the share that counts, so its ends change places. */
function reserveWords(lesson: Lesson): string {
  const words = ({ median, low, high }: Learned) => spread(1 / median, 1 / high, 1 / low)
  return lessonWords('Reserve for hanging sinkers', lesson, words)
}

function lessonWords(what: string, { prior, posterior, ...lesson }: Lesson, words: (learned: Learned) => string): string {
  const book = `${what}, with its spread four times in five: ${words(prior)} by the book`
  return lesson.evidence.length === 0 ? `${book}; nothing seen here yet.` : `${book}; ${seen(lesson)} here, ${words(posterior)}.`
}
