import { useId, useMemo, useState } from 'react'
import { MATERIAL_IDS, type Material } from '../../../core/catalogue/ids.ts'
import type { Pull } from '../../../core/documents/observation.ts'
import { KNOT_FACTS, type KnotId } from '../../../core/knots/facts.ts'
import { testsOf } from '../../../core/learning/knotLessons.ts'
import { STEPS, SURE } from '../../../core/learning/pullsToSettle.ts'
import { chanceBetter, type Tested, testedEfficiency } from '../../../core/physics/strength/testedEfficiency.ts'
import { percent } from '../../../core/units/percent.ts'
import { runPullsToSettle } from '../../../workers/runPullsToSettle.ts'
import { useNominalCatalogue } from '../../catalogue/useCatalogue.ts'
import { JobProgress } from '../../jobs/JobProgress.tsx'
import { useJob } from '../../jobs/useJob.ts'
import { Button, Field, Select, Sheet } from '../../ui/controls.tsx'
import { Fault } from '../../ui/states.tsx'

/** The same imagined crews each time, so that the answer does not jump. */
const SEED = 20_261_126

/** Which of two knots is the better in a material, how sure that is, and how many more pulls would settle it. */
export function WhichIsBetter({ pulls }: { pulls: readonly Pull[] }) {
  const id = useId()
  const nominal = useNominalCatalogue()
  const { connections, materials } = nominal
  const [material, setMaterial] = useState<Material>('mono')
  const tied = (Object.keys(KNOT_FACTS) as KnotId[]).filter(
    (knot) => connections[knot].efficiency[material as never] !== undefined,
  )
  const [first, setFirst] = useState<KnotId>('uni')
  const [second, setSecond] = useState<KnotId>('palomar')
  const [one, other] = [tied.includes(first) ? first : tied[0]!, tied.includes(second) ? second : tied.at(-1)!]
  const [a, b] = useMemo(
    () => [one, other].map((knot) => testsOf(nominal, pulls, knot, material)),
    [nominal, pulls, one, other, material],
  )
  const choices = tied
    .toSorted((x, y) => connections[x].name.localeCompare(connections[y].name))
    .map((value) => ({ value, text: connections[value].name }))
  return (
    <Sheet title="Which is better, and how sure?">
      <div className="grid gap-2">
        <Field label="in" htmlFor={`${id}-material`}>
          <Select
            id={`${id}-material`}
            value={material}
            choices={MATERIAL_IDS.map((value) => ({ value, text: materials[value].name }))}
            onChoose={(next) => setMaterial(next)}
          />
        </Field>
        <Field label="this" htmlFor={`${id}-first`}>
          <Select id={`${id}-first`} value={one} choices={choices} onChoose={(next) => setFirst(next)} />
        </Field>
        <Field label="or" htmlFor={`${id}-second`}>
          <Select id={`${id}-second`} value={other} choices={choices} onChoose={(next) => setSecond(next)} />
        </Field>
      </div>
      {one === other ? (
        <p className="mt-3 text-quiet">Choose two different knots.</p>
      ) : (
        a && b && <Answer a={a} b={b} names={[connections[one].name, connections[other].name]} />
      )}
    </Sheet>
  )
}

function Answer({ a, b, names }: { a: Tested; b: Tested; names: readonly [string, string] }) {
  const chance = chanceBetter(a, b)
  const [better, worse] = chance >= 0.5 ? names : [names[1], names[0]]
  const sure = Math.max(chance, 1 - chance)
  const said = (tests: Tested) =>
    `${percent(testedEfficiency(tests).mean)}${tests.tested.length === 0 ? ', nominal' : ` after ${tests.tested.length} of your tests`}`
  return (
    <div className="mt-3 grid gap-2 border-t border-rule pt-2">
      <p>
        <strong>{better}</strong> is better than {worse} with a chance of <strong>{percent(sure)}</strong>.
      </p>
      <p className="text-sm text-quiet">
        {names[0]}: {said(a)}; {names[1]}: {said(b)}. A nominal value counts as four tests.
      </p>
      {sure >= SURE ? <p>This is certain enough.</p> : <HowMany a={a} b={b} />}
    </div>
  )
}

/** How many more pulls would settle it, worked out beside the page. */
function HowMany({ a, b }: { a: Tested; b: Tested }) {
  const input = useMemo(() => ({ a, b, seed: SEED }), [a, b])
  const { result, error, isRunning, share, start, stop } = useJob({
    name: 'pulls-to-settle',
    input,
    startsBy: 'hand',
    run: runPullsToSettle,
  })
  if (isRunning) return <JobProgress share={share} onStop={stop} />
  if (error) return <Fault>{error.message}</Fault>
  if (!result) return <Button onClick={start}>How many more tests are needed?</Button>
  const { pulls, settled } = result
  return (
    <p>
      {pulls === undefined
        ? `They are so close that ${STEPS.at(-1)} more tests of each decide it only in ${percent(settled)}. Use the one that ties better.`
        : `About ${pulls} more ${pulls === 1 ? 'test' : 'tests'} of each decide it half of the time.`}
    </p>
  )
}
