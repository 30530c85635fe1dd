import { turnsIn } from '../../../core/build/cutList.ts'
import { type ConnectionId, connectionOf } from '../../../core/gear/connections.ts'
import { MATERIALS, type Material } from '../../../core/gear/materials.ts'
import { withJoint } from '../../../core/trace/edit.ts'
import type { Outfit } from '../../../core/trace/outfit.ts'
import { isLine, type Joint, OUTFIT, type Piece, parentId, type Trace } from '../../../core/trace/schema.ts'
import { likeConnections, materialsBeside } from '../../../core/trace/suits.ts'
import { type Choice, Field, Select } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { above } from './limits.ts'
import type { Bench } from './useBench.ts'

type Props = { bench: Bench; piece: Piece; joint: Joint; trace: Trace; outfit: Outfit }

/** How a piece is tied to what it hangs from: only what suits both lines is offered, the rest shown with the reason. */
export function JointSettings({ bench, piece, joint, trace, outfit }: Props) {
  const id = `${piece.id}-joint`
  const materials = materialsBeside(piece, trace, outfit)
  const connection = connectionOf(joint.connection)
  const line = isLine(piece) ? piece : trace.pieces.find((other) => other.id === parentId(piece.attach))
  const set = (change: Partial<Joint>, tag?: string) =>
    bench.editTrace((old) => withJoint(old, piece.id, (now) => ({ ...now, ...change })), tag)
  const choices = likeConnections(joint).map((candidate) => choiceOf(candidate, materials))
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
      {joint.connection === 'crimpLoop' && (
        <QuantityField
          label="sleeve’s bore"
          quantity="diameter"
          valueSi={joint.boreM}
          placeholder="fits, as far as is known"
          check={above(0, 0.02)}
          onChange={(boreM) => set({ boreM }, `${piece.id} bore`)}
          onClear={() => set({ boreM: undefined })}
          hint="each barrel of the two"
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
