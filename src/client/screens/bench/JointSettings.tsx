import { turnsIn } from '../../../core/build/cutList.ts'
import { CONNECTION_IDS, type ConnectionId, connectionOf, type Joins } from '../../../core/gear/connections.ts'
import { MATERIALS, type Material } from '../../../core/gear/materials.ts'
import { withJoint } from '../../../core/trace/edit.ts'
import { freeLine, type Outfit } from '../../../core/trace/outfit.ts'
import { isLine, type Joint, OUTFIT, type Piece, parentId, type Trace } from '../../../core/trace/schema.ts'
import { type Choice, Field, Select } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import type { Bench } from './useBench.ts'

/** Kinds of connection that do the same job, so that one can take another's place. */
const LIKE: Record<Joins, readonly Joins[]> = {
  'line-eye': ['line-eye', 'line-shank', 'end-loop'],
  'line-shank': ['line-eye', 'line-shank', 'end-loop'],
  'end-loop': ['line-eye', 'line-shank', 'end-loop'],
  'line-line': ['line-line'],
  doubles: ['doubles'],
  'side-loop': ['side-loop'],
  stop: ['stop'],
  fixture: ['fixture'],
}

type Props = { bench: Bench; piece: Piece; joint: Joint; trace: Trace; outfit: Outfit }

/** How a piece is tied to what it hangs from: only what suits both lines is offered, the rest shown with the reason. */
export function JointSettings({ bench, piece, joint, trace, outfit }: Props) {
  const id = `${piece.id}-joint`
  const materials = materialsBeside(piece, trace, outfit)
  const connection = connectionOf(joint.connection)
  const line = isLine(piece) ? piece : trace.pieces.find((other) => other.id === parentId(piece.attach))
  const set = (change: Partial<Joint>, tag?: string) =>
    bench.editTrace((old) => withJoint(old, piece.id, (now) => ({ ...now, ...change })), tag)
  const choices = CONNECTION_IDS.filter((candidate) => LIKE[connection.joins].includes(connectionOf(candidate).joins)).map(
    (candidate) => choiceOf(candidate, materials),
  )
  return (
    <fieldset className="grid gap-2 border-t border-rule pt-2">
      <legend className="sr-only">Connection</legend>
      <Field
        label={parentId(piece.attach) === OUTFIT ? 'tied to the outfit' : 'tied with'}
        htmlFor={id}
        hint={connection.caution}
      >
        <Select
          id={id}
          value={joint.connection}
          choices={choices}
          onChange={(event) => set({ connection: event.target.value as ConnectionId, turns: undefined, efficiency: undefined })}
        />
      </Field>
      {connection.turns && isLine(line) && (
        <NumberField
          label="turns"
          value={joint.turns}
          whole
          least={1}
          most={60}
          placeholder={`${turnsIn({ connection: joint.connection }, line)}, as usual`}
          onChange={(turns) => set({ turns }, `${piece.id} turns`)}
        />
      )}
      <NumberField
        label="own test, %"
        value={joint.efficiency === undefined ? undefined : joint.efficiency * 100}
        least={1}
        most={100}
        placeholder={`nominal ${materials.map((material) => Math.round((connection.efficiency[material] ?? 0) * 100)).join(' and ')}`}
        onChange={(value) => set({ efficiency: value === undefined ? undefined : value / 100 }, `${piece.id} efficiency`)}
      />
    </fieldset>
  )
}

function choiceOf(id: ConnectionId, materials: readonly Material[]): Choice {
  const { name, efficiency } = connectionOf(id)
  const misfit = materials.find((material) => efficiency[material] === undefined)
  if (misfit) return { value: id, text: `${name}: not tied in ${MATERIALS[misfit].name}`, disabled: true }
  const shares = [...new Set(materials.map((material) => Math.round(efficiency[material]! * 100)))]
  return { value: id, text: `${name}, ${shares.join(' / ')} %` }
}

function materialsBeside(piece: Piece, trace: Trace, outfit: Outfit): Material[] {
  const parent = parentId(piece.attach)
  const above = parent === OUTFIT ? freeLine(outfit) : trace.pieces.find(({ id }) => id === parent)
  const lines = [
    parent === OUTFIT
      ? freeLine(outfit).material
      : isLine(above as Piece | undefined)
        ? (above as { material: Material }).material
        : undefined,
    isLine(piece) ? piece.material : undefined,
  ]
  return lines.filter((material) => material !== undefined)
}
