import { Plus, X } from 'lucide-react'
import { MAX_COURSE } from '../../../../core/documents/moving.ts'
import { Button } from '../../../ui/controls.tsx'
import { notBelow, within } from '../../../ui/limits.ts'
import { QuantityField } from '../../../ui/QuantityField.tsx'

type Row = { alongM: number; depthM: number }

/** Depths along the boat’s way, as they are read off a chart or a sounder. */
export function CourseFields({ course, onChange }: { course: readonly Row[]; onChange: (course: Row[]) => void }) {
  const last = course.at(-1)
  const change = (at: number, to: Partial<Row>) => onChange(course.map((row, i) => (i === at ? { ...row, ...to } : row)))
  return (
    <fieldset className="grid gap-2 border-t border-rule pt-2">
      <legend className="text-quiet">depths along the route</legend>
      {course.map((row, i) => (
        <div key={i} className="grid grid-cols-[minmax(0,1fr)_auto] items-start gap-1">
          <div className="grid gap-1">
            <QuantityField
              label={`place ${i + 1}, along`}
              quantity="length"
              valueSi={row.alongM}
              check={notBelow(100_000)}
              onChange={(alongM) => change(i, { alongM })}
            />
            <QuantityField
              label={`place ${i + 1}, depth`}
              quantity="depth"
              valueSi={row.depthM}
              check={within(0.5, 2_000, 'From 0.5 m to 2 km.')}
              onChange={(depthM) => change(i, { depthM })}
            />
          </div>
          <Button
            tone="quiet"
            aria-label={`Remove place ${i + 1} out`}
            onClick={() => onChange(course.filter((_, at) => at !== i))}
          >
            <X className="size-4" />
          </Button>
        </div>
      ))}
      {course.length < MAX_COURSE && (
        <Button onClick={() => onChange([...course, { alongM: last ? last.alongM + 100 : 0, depthM: last?.depthM ?? 10 }])}>
          <Plus className="size-4" /> {last ? 'Add a place' : 'Depths along the route'}
        </Button>
      )}
    </fieldset>
  )
}
