import { ChevronLeft, ChevronRight, FlipHorizontal2, Pause, Play, Volume2, VolumeX } from 'lucide-react'
import { type KeyboardEvent, memo, useEffect, useMemo, useState } from 'react'
import { DRAWN_KNOTS } from '../../../core/knots/drawn/drawnKnots.ts'
import { KNOT_FACTS, type KnotId } from '../../../core/knots/facts.ts'
import type { Picture } from '../../../core/knots/picture.ts'
import { stepWords } from '../../../core/knots/stepWords.ts'
import { boxOf, KnotPicture } from '../../charts/KnotPicture.tsx'
import { spoken } from '../../regional/spoken.ts'
import { useKept } from '../../settings/useKept.ts'
import { Button, Sheet } from '../../ui/controls.tsx'
import { useWidth } from '../../ui/useWidth.ts'
import { canSpeak, speak } from './voice.ts'

/** How long a step stays when the card goes on by itself, ms. */
const STEP_MS = 8_000
/** As large as a drawing is shown, px for a radius of the line; and as high, px. */
const MAX_PX = 7
const MAX_HEIGHT_PX = 340
/** The same on paper, where two steps are beside each other. */
const PAPER_PX = 4
const PAPER_WIDTH_PX = 300

type Props = { id: KnotId; name: string; turns: number; other: number }

/** How a knot is tied, step by step: a drawing and a sentence each; by hand, by keys, or going on by itself. */
export function TyingCard({ id, name, turns, other }: Props) {
  const words = useMemo(() => stepWords(id, turns), [id, turns])
  const pictures = useMemo(() => DRAWN_KNOTS[id]?.({ turns, other }), [id, turns, other])
  const box = useMemo(() => pictures && boxOf(pictures), [pictures])
  const [at, setAt] = useState(0)
  const [running, setRunning] = useState(false)
  const [mirrored, setMirrored] = useKept('mirrored', false)
  const [aloud, setAloud] = useKept('aloud', false)
  const { ref, width } = useWidth<HTMLDivElement>()
  const step = Math.min(at, words.length - 1)
  const sentence = words[step]!
  const go = (by: number) => setAt(Math.min(words.length - 1, Math.max(0, step + by)))
  useEffect(() => (aloud ? speak(spoken(sentence)) : undefined), [aloud, sentence])
  useEffect(() => {
    if (!running) return
    const timer = setTimeout(() => (step + 1 < words.length ? setAt(step + 1) : setRunning(false)), STEP_MS)
    return () => clearTimeout(timer)
  }, [running, step, words.length])
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key]
    if (by === undefined) return
    event.preventDefault()
    go(by)
  }
  const pxPerUnit = box ? Math.min(MAX_PX, (width || 320) / box.width, MAX_HEIGHT_PX / box.height) : 0
  return (
    <Sheet
      title="How to tie it"
      aside={
        <span className="text-sm text-quiet print:hidden" aria-live="polite">
          step {step + 1} of {words.length}
        </span>
      }
    >
      <section
        // biome-ignore lint/a11y/noNoninteractiveTabindex: the card is stepped through by the arrow keys
        tabIndex={0}
        aria-label={`Steps of the ${name}: left and right arrow keys`}
        onKeyDown={onKeyDown}
        className="grid gap-3 rounded-md print:hidden"
      >
        <div ref={ref} className="grid justify-items-center overflow-hidden" style={box && { minHeight: box.height * pxPerUnit }}>
          {pictures?.[step] && box && (
            <KnotPicture
              picture={pictures[step]}
              box={box}
              label={`${name}, step ${step + 1}: ${sentence}`}
              pxPerUnit={pxPerUnit}
              mirrored={mirrored}
            />
          )}
        </div>
        <p className="min-h-14 text-lg" aria-live="polite">
          {sentence}
        </p>
        <ol className="flex gap-1.5" aria-label="All steps">
          {words.map((each, i) => (
            <li key={each} className="flex-1">
              <button
                type="button"
                aria-label={`step ${i + 1}`}
                aria-current={i === step ? 'step' : undefined}
                onClick={() => setAt(i)}
                className="grid min-h-6 w-full items-center"
              >
                <span className={`block h-1.5 rounded-full ${i <= step ? 'bg-tide' : 'bg-rule'}`} />
              </button>
            </li>
          ))}
        </ol>
        <div className="grid grid-cols-2 gap-2">
          <Button className="min-h-14 text-lg" onClick={() => go(-1)} disabled={step === 0}>
            <ChevronLeft className="size-6" aria-hidden="true" /> Back
          </Button>
          <Button tone="strong" className="min-h-14 text-lg" onClick={() => go(1)} disabled={step === words.length - 1}>
            Next <ChevronRight className="size-6" aria-hidden="true" />
          </Button>
        </div>
        {KNOT_FACTS[id].steps[step]!.includes('{turns}') && turns > 1 && <TurnCounter key={step} turns={turns} />}
        <div className="flex flex-wrap gap-2">
          <Button
            aria-pressed={running}
            onClick={() => {
              if (!running && step === words.length - 1) setAt(0)
              setRunning(!running)
            }}
          >
            {running ? <Pause className="size-4" aria-hidden="true" /> : <Play className="size-4" aria-hidden="true" />}
            {running ? 'Stop' : 'Play'}
          </Button>
          {canSpeak() && (
            <Button aria-pressed={aloud} onClick={() => setAloud(!aloud)}>
              {aloud ? <Volume2 className="size-4" aria-hidden="true" /> : <VolumeX className="size-4" aria-hidden="true" />}
              {aloud ? 'Read aloud' : 'Silent'}
            </Button>
          )}
          {pictures && (
            <Button aria-pressed={mirrored} onClick={() => setMirrored(!mirrored)}>
              <FlipHorizontal2 className="size-4" aria-hidden="true" /> Left-handed
            </Button>
          )}
        </div>
      </section>
      <PaperSteps words={words} pictures={pictures} mirrored={mirrored} />
    </Sheet>
  )
}

type PaperProps = { words: readonly string[]; pictures: Picture[] | undefined; mirrored: boolean }

/** Every step on one card, for paper. */
const PaperSteps = memo(function PaperSteps({ words, pictures, mirrored }: PaperProps) {
  const box = pictures && boxOf(pictures)
  return (
    <ol className="hidden grid-cols-2 gap-4 print:grid" aria-label="All steps, for paper">
      {words.map((each, i) => (
        <li key={each}>
          {pictures?.[i] && box && (
            <KnotPicture
              picture={pictures[i]}
              box={box}
              label={each}
              pxPerUnit={Math.min(PAPER_PX, PAPER_WIDTH_PX / box.width)}
              mirrored={mirrored}
            />
          )}
          <p>
            {i + 1}. {each}
          </p>
        </li>
      ))}
    </ol>
  )
})

/** Counts the turns as they are made, a tap each. */
function TurnCounter({ turns }: { turns: number }) {
  const [made, setMade] = useState(0)
  return (
    <Button className="min-h-12" onClick={() => setMade(made >= turns ? 0 : made + 1)}>
      <span aria-live="polite">{made >= turns ? `All ${turns} turns made` : `Turns made: ${made} of ${turns}`}</span>
    </Button>
  )
}
