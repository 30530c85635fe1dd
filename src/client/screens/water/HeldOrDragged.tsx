import { useQueryClient } from '@tanstack/react-query'
import { Trash2 } from 'lucide-react'
import { holdKindOf } from '../../../core/catalogue/grip.ts'
import { isCastMethod } from '../../../core/catalogue/methods.ts'
import type { Hold, Observation } from '../../../core/documents/observation.ts'
import { gripLesson, type Lesson, reserveLesson } from '../../../core/learning/markLessons.ts'
import type { Learned } from '../../../core/learning/ratioBelief.ts'
import { demandOn } from '../../../core/setup/settling/demand.ts'
import { minimumSinker } from '../../../core/setup/settling/minimumSinker.ts'
import type { Settling } from '../../../core/setup/settling/settling.ts'
import { dateIn } from '../../../core/time/localDay.ts'
import type { SavedMark } from '../../api/documents.ts'
import { addObservation } from '../../api/observations.ts'
import { useCreation } from '../../documents/useCreation.ts'
import { toast } from '../../regional/toast.ts'
import { useShow } from '../../settings/preferences.tsx'
import type { Show } from '../../settings/show.ts'
import { Button } from '../../ui/controls.tsx'

type WithoutId<Each> = Each extends unknown ? Omit<Each, 'id'> : never
type Props = { mark: SavedMark; holds: readonly Hold[]; settling: Settling; at: number; clock: (timeMs: number) => string }

/** Writes down that the sinker held or dragged here, and shows what the mark has taught: before, what was seen, and after. */
export function HeldOrDragged({ mark, holds, settling, at, clock }: Props) {
  const show = useShow()
  const client = useQueryClient()
  const { content } = mark
  const { weight, catalogue } = settling
  const { method } = settling.water
  const demand = demandOn(settling, minimumSinker(settling))
  const tell = useCreation({
    make: (observation: WithoutId<Observation>, id: string) => addObservation({ ...observation, id }),
    onMade: () => void client.invalidateQueries({ queryKey: ['observations', mark.id] }),
    onError: (error) => toast.error(error.message),
  })
  const circumstances = { formatVersion: 1 as const, at: new Date(at).toISOString(), markId: mark.id }
  const saw = (held: boolean) => {
    if (demand === undefined) return
    const { shape, massKg } = weight
    tell.create({ ...circumstances, kind: 'hold', method, shape, massKg, demand, held })
  }
  const cast = isCastMethod(method)
  const kind = holdKindOf(weight.shape)
  const lesson = cast ? gripLesson(catalogue, content, holds, kind) : reserveLesson(catalogue, holds, method)
  return (
    <section aria-label="Held and dragged here" className="no-print mt-3 border-t border-rule pt-2 text-sm">
      <div className="flex flex-wrap items-center gap-2">
        <span className="mr-auto">
          {show.computed('mass', weight.massKg)} at {clock(at)}:
        </span>
        <Button disabled={demand === undefined || tell.isPending} onClick={() => saw(true)}>
          It held
        </Button>
        <Button disabled={demand === undefined || tell.isPending} onClick={() => saw(false)}>
          It dragged
        </Button>
      </div>
      <p className="mt-1">
        {cast ? gripWords(lesson, catalogue.grip.kinds[kind], show) : reserveWords(lesson, show)}
        {cast && kind === 'wired' && ' This is rough: wires do not grip by weight alone.'}
      </p>
      {lesson.evidence.length > 0 && (
        <ul className="mt-1" aria-label="Observations">
          {lesson.evidence.map((hold) => (
            <li key={hold.id} className="flex items-center gap-2 border-t border-rule">
              <span className="mr-auto">
                {dateIn(content.timeZone, Date.parse(hold.at))} {clock(Date.parse(hold.at))}: {show.entered('mass', hold.massKg)}{' '}
                {hold.held ? 'held' : 'dragged'}{' '}
                {cast
                  ? `a load of ${show.number(hold.demand, 2)} times its weight`
                  : `at ${show.number(1 / hold.demand, 2)} times the least`}
              </span>
              <Button
                tone="quiet"
                aria-label="Remove this"
                title="Remove this"
                disabled={tell.isPending}
                onClick={() => tell.create({ ...circumstances, kind: 'retraction', of: hold.id })}
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
const spread = (median: number, low: number, high: number, show: Show) =>
  `${show.number(median, 2)} (${show.number(low, 2)} to ${show.number(high, 2)})`

function gripWords(lesson: Lesson, kind: string, show: Show): string {
  const words = ({ median, low, high }: Learned) => spread(median, low, high, show)
  return lessonWords(`Grip of ${kind} on this bottom`, lesson, words)
}

/** The reserve is one over the share that counts, so its ends change places. */
function reserveWords(lesson: Lesson, show: Show): string {
  const words = ({ median, low, high }: Learned) => spread(1 / median, 1 / high, 1 / low, show)
  return lessonWords('Reserve for hanging sinkers', lesson, words)
}

function lessonWords(what: string, { prior, posterior, ...lesson }: Lesson, words: (learned: Learned) => string): string {
  const book = `${what}, 80 % range: ${words(prior)} nominal`
  return lesson.evidence.length === 0 ? `${book}; no observations yet.` : `${book}; ${seen(lesson)} here, ${words(posterior)}.`
}
