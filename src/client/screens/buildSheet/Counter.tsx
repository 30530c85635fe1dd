import { Check, Minus } from 'lucide-react'

type Props = { label: string; done: number; of: number; onTick: (change: number) => void }

/** How much of a part is done: one more with a touch on the count, one back, and all of it. */
export function Counter({ label, done, of, onTick }: Props) {
  const isDone = done >= of
  return (
    <span className="no-print flex shrink-0 items-center gap-1">
      <button
        type="button"
        className={`flex min-h-9 min-w-20 items-center justify-center gap-1 rounded-md border px-2 tabular-nums ${isDone ? 'border-holds text-holds' : 'border-edge bg-well'}`}
        aria-label={`${label}: ${done} of ${of} done, tick one`}
        disabled={isDone}
        onClick={() => onTick(1)}
      >
        {isDone && <Check className="size-4" aria-hidden="true" />}
        {done} / {of}
      </button>
      <button
        type="button"
        className="grid size-9 place-items-center rounded-md text-quiet hover:bg-well disabled:opacity-45"
        aria-label={`${label}: take one tick back`}
        title="Take one tick back"
        disabled={done === 0}
        onClick={() => onTick(-1)}
      >
        <Minus className="size-4" aria-hidden="true" />
      </button>
      {of > 1 && (
        <button
          type="button"
          className="min-h-9 rounded-md px-1.5 text-sm text-quiet hover:bg-well disabled:opacity-45"
          aria-label={`${label}: tick all`}
          disabled={isDone}
          onClick={() => onTick(of - done)}
        >
          all
        </button>
      )}
    </span>
  )
}
