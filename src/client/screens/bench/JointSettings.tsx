import { type Catalogue, efficiencyOf } from '../../../core/catalogue/catalogue.ts'
import type { ConnectionId, Material } from '../../../core/catalogue/ids.ts'
import type { Joint } from '../../../core/documents/fields.ts'
import { isLine, lineById, parentId } from '../../../core/documents/pieces.ts'
import type { Piece } from '../../../core/documents/trace.ts'
import { OUTFIT } from '../../../core/documents/vocabulary.ts'
import { withJoint } from '../../../core/edit/changes.ts'
import { likeConnections, linesBeside } from '../../../core/joints/connectionRules.ts'
import { ownFiguresOf, ownFigureText } from '../../../core/joints/ownFigures.ts'
import { turnsIn, usualTurns } from '../../../core/setup/cutLength.ts'
import type { Rig } from '../../../core/setup/setup.ts'
import { useOwnFigures } from '../../catalogue/useCatalogue.ts'
import { KnotLink } from '../../fishing/KnotLink.tsx'
import { type Choice, Field, Select } from '../../ui/controls.tsx'
import { above } from '../../ui/limits.ts'
import { NumberField } from '../../ui/NumberField.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import type { Bench } from './useBench.ts'

type Props = { bench: Bench; piece: Piece; joint: Joint; rig: Rig }

/** How a piece is tied to what it hangs from: only what suits both lines is offered, the rest shown with the reason. */
export function JointSettings({ bench, piece, joint, rig }: Props) {
  const { trace, catalogue } = rig
  const id = `${piece.id}-joint`
  const lines = linesBeside(piece, rig)
  const materials = lines.map(({ material }) => material)
  const connection = catalogue.connections[joint.connection]
  const line = isLine(piece) ? piece : lineById(trace, parentId(piece.attach))
  const set = (change: Partial<Joint>, tag?: string) =>
    bench.editTrace((old) => withJoint(old, piece.id, (now) => ({ ...now, ...change })), tag)
  const choices = likeConnections(rig, piece).map((candidate) => choiceOf(catalogue, candidate, materials))
  return (
    <fieldset className="grid gap-2 border-t border-rule pt-2">
      <legend className="sr-only">Connection</legend>
      <Field label={parentId(piece.attach) === OUTFIT ? 'knot to the main line' : 'knot'} htmlFor={id} hint={connection.caution}>
        <Select
          id={id}
          value={joint.connection}
          choices={choices}
          onChoose={(next) => set({ connection: next, turns: undefined, own: undefined })}
        />
      </Field>
      <div className="ml-[8.25rem]">
        <KnotLink
          joint={joint}
          lines={lines}
          turns={joint.turns ?? usualTurns(catalogue, joint.connection, lines)}
          name={connection.name}
        />
        <OwnFigures catalogue={catalogue} joint={joint} materials={materials} />
      </div>
      {connection.turns && line && (
        <NumberField
          label="turns"
          value={joint.turns}
          whole
          least={1}
          most={60}
          placeholder={`${turnsIn(catalogue, { connection: joint.connection }, line)}, as usual`}
          onChange={(turns) => set({ turns }, `${piece.id} turns`)}
        />
      )}
      {joint.connection === 'crimpLoop' && (
        <QuantityField
          label="sleeve bore"
          quantity="diameter"
          valueSi={joint.boreM}
          placeholder="nominal"
          check={above(0, 0.02)}
          onChange={(boreM) => set({ boreM }, `${piece.id} bore`)}
          onClear={() => set({ boreM: undefined })}
          hint="each of the two barrels"
        />
      )}
      <NumberField
        label="my test, %"
        value={joint.own && joint.own.efficiency * 100}
        least={1}
        most={100}
        placeholder={`nominal ${materials.map((material) => Math.round((connection.efficiency[material] ?? 0) * 100)).join(' and ')}`}
        onChange={(value) => set({ own: value === undefined ? undefined : { efficiency: value / 100 } }, `${piece.id} my test`)}
      />
    </fieldset>
  )
}

/** That the figure is the crew’s own, where they pulled this knot: how many pulls, and what they say. */
function OwnFigures({ catalogue, joint, materials }: { catalogue: Catalogue; joint: Joint; materials: readonly Material[] }) {
  const { own } = useOwnFigures()
  if (!own) return <p className="text-sm text-quiet">nominal: your measurements are turned off in Settings</p>
  return ownFiguresOf(catalogue, joint, materials).map((figure) => (
    <p key={figure.material} className="text-sm text-quiet">
      {ownFigureText(catalogue, figure)}
    </p>
  ))
}

function choiceOf(catalogue: Catalogue, id: ConnectionId, materials: readonly Material[]): Choice<ConnectionId> {
  const { name } = catalogue.connections[id]
  const figures = materials.map((material) => efficiencyOf(catalogue, { connection: id }, material))
  const misfit = materials[figures.indexOf(undefined)]
  if (misfit) return { value: id, text: `${name}: cannot be tied in ${catalogue.materials[misfit].name}`, disabled: true }
  const shares = [...new Set(figures.map((figure) => Math.round(100 * (figure?.mean ?? 0))))]
  return { value: id, text: `${name}, ${shares.join(' / ')} %` }
}
