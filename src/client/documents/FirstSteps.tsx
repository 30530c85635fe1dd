import { useQuery } from '@tanstack/react-query'
import { Check } from 'lucide-react'
import { Link } from 'react-router'
import { demoQuery, useDemoChange } from '../api/demo.ts'
import { marksQuery, outfitsQuery, type SavedTraceHead } from '../api/documents.ts'
import { toast } from '../regional/toast.ts'
import { useKept } from '../settings/useKept.ts'
import { Button, buttonClass } from '../ui/controls.tsx'
import { newTraceAddress } from '../words/addresses.ts'

/** Where to begin: a rod, a mark and a trace of one’s own, each until it is there; and that the rest is an example. */
export default function FirstSteps({ heads }: { heads: readonly SavedTraceHead[] }) {
  const demo = useQuery(demoQuery).data
  const outfits = useQuery(outfitsQuery).data
  const marks = useQuery(marksQuery).data
  const [isHidden, setHidden] = useKept('first-steps-hidden', false)
  if (!demo || !outfits || !marks) return null
  const examples = new Set(demo.shown)
  const isOwn = ({ id }: { id: string }) => !examples.has(id)
  const [outfit, mark] = [outfits.find(isOwn), marks.find(isOwn)]
  const steps: Step[] = [
    {
      title: 'Your rod',
      about: 'Four values from rod, reel and spool.',
      isDone: outfit !== undefined,
      to: '/gear?new&first',
      act: 'Add your rod',
    },
    {
      title: 'Your mark',
      about: 'Its depth and tide.',
      isDone: mark !== undefined,
      to: `/water/marks/new?first${outfit ? `&outfit=${outfit.id}` : ''}`,
      act: 'Add your mark',
    },
    {
      title: 'Your first trace',
      about: 'Choose the fish, get a draft.',
      isDone: heads.some(isOwn),
      to: newTraceAddress({ outfit: outfit?.id, mark: mark?.id }),
      act: 'Make a trace',
    },
  ]
  const isDone = steps.every((step) => step.isDone)
  return (
    <>
      {!isHidden && !isDone && (
        <section aria-label="First steps" className="flex flex-wrap items-end gap-3 rounded-lg border border-rule bg-sheet p-3">
          <ol className="grid grow gap-3 md:grid-cols-3">
            {steps.map((step, i) => (
              <StepRow key={step.title} step={step} count={i + 1} isNext={steps.findIndex((each) => !each.isDone) === i} />
            ))}
          </ol>
          <Button tone="quiet" onClick={() => setHidden(true)}>
            Hide these steps
          </Button>
        </section>
      )}
      {examples.size > 0 && <Examples />}
    </>
  )
}

type Step = { title: string; about: string; isDone: boolean; to: string; act: string }

function StepRow({ step, count, isNext }: { step: Step; count: number; isNext: boolean }) {
  return (
    <li className="grid content-start gap-1">
      <h2 className="flex items-center gap-2 font-semibold">
        {step.isDone ? <Check className="size-4 text-holds" aria-label="done" /> : `${count}.`} {step.title}
      </h2>
      <p className="text-sm text-quiet">{step.about}</p>
      {!step.isDone && (
        <Link to={step.to} className={`${buttonClass(isNext ? 'strong' : 'plain')} mt-1 w-fit`}>
          {step.act}
        </Link>
      )}
    </li>
  )
}

function Examples() {
  const change = useDemoChange()
  return (
    <p className="flex flex-wrap items-center gap-x-3 gap-y-1 text-sm text-quiet">
      Traces marked “example” came with the application.
      <Button
        tone="quiet"
        disabled={change.isPending}
        onClick={() =>
          change.mutate('remove', {
            onSuccess: () => toast('The examples are removed. Settings brings them back.'),
            onError: (error) => toast.error(error.message),
          })
        }
      >
        Remove the examples
      </Button>
    </p>
  )
}
