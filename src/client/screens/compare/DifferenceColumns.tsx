import { DifferenceList } from '../../documents/DifferenceList.tsx'
import { Sheet } from '../../ui/controls.tsx'
import type { Side } from './side.ts'

/** Part by part, what is different from the first: for designs that grew out of one another. */
export function DifferenceColumns({ sides }: { sides: Side[] }) {
  const [first, ...others] = sides
  if (!first) return null
  return (
    <div className="grid gap-3 md:grid-cols-2">
      {others.map((side) => (
        <Sheet key={side.key} title={`From ${first.title} to ${side.title}`}>
          <DifferenceList from={first.content} to={side.content} />
        </Sheet>
      ))}
    </div>
  )
}
