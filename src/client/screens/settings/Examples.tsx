import { useQuery } from '@tanstack/react-query'
import { demoQuery, useDemoChange } from '../../api/demo.ts'
import { Button, Sheet } from '../../ui/controls.tsx'
import { Fault } from '../../ui/states.tsx'

/** The demonstration data: removed and brought back, each with one button. */
export function Examples() {
  const demo = useQuery(demoQuery)
  const change = useDemoChange()
  return (
    <Sheet title="Examples">
      <p className="mb-3 text-quiet">
        Traces, outfits, marks, gear and pull tests to try things out with. Removing them keeps the fish, what you changed, and
        what your own traces use.
      </p>
      {demo.error && !demo.data && <Fault>{demo.error.message}</Fault>}
      {demo.data && (
        <div className="flex flex-wrap gap-2">
          {demo.data.shown.length > 0 && (
            <Button disabled={change.isPending} onClick={() => change.mutate('remove')}>
              Remove the examples
            </Button>
          )}
          {demo.data.missing > 0 && (
            <Button disabled={change.isPending} onClick={() => change.mutate('bring back')}>
              Bring the examples back
            </Button>
          )}
        </div>
      )}
      {change.error && <Fault>{change.error.message}</Fault>}
    </Sheet>
  )
}
