import type { ReactNode } from 'react'
import { BAITS, type BaitType } from '../../../core/gear/baits.ts'
import { hardwareOf } from '../../../core/gear/hardware.ts'
import { HOOK_PATTERNS, type HookPattern } from '../../../core/gear/hooks.ts'
import { SINKER_SHAPES, type SinkerShape } from '../../../core/gear/sinkers.ts'
import type { Link } from '../../../core/strength/pathLinks.ts'
import { clipFor, withClip, withoutClip, withPiece } from '../../../core/trace/edit.ts'
import { pieceName } from '../../../core/trace/names.ts'
import { mainLine, type Outfit } from '../../../core/trace/outfit.ts'
import { ridesOn } from '../../../core/trace/redraw/along.ts'
import { slideRange } from '../../../core/trace/redraw/slidePart.ts'
import { type HardwarePiece, isLine, jointOf, OUTFIT, type Piece, pieceOfLink, type Trace } from '../../../core/trace/schema.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Field, Select, Sheet } from '../../ui/controls.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { lineSpec, linkName, woundName } from '../../words/names.ts'
import { percent } from '../../words/verdictWords.ts'
import { HookSettings } from './HookSettings.tsx'
import { JointSettings } from './JointSettings.tsx'
import { LineSettings } from './LineSettings.tsx'
import { above } from './limits.ts'
import type { Bench } from './useBench.ts'
import type { Redraw } from './useRedraw.ts'

type Props = {
  bench: Bench
  outfit: Outfit
  selected: string
  links: readonly (Link & { first: number })[]
  ownedSinkersKg: readonly number[]
  redraw: Redraw
}

/** The settings of the chosen part, and of the joint it hangs by. */
export function PartPanel({ bench, outfit, selected, links, ownedSinkersKg, redraw }: Props) {
  const { trace } = bench.content
  const piece = trace.pieces.find(({ id }) => id === pieceOfLink(selected))
  const name = linkName(trace, outfit, selected)
  const strength = <LinkStrength selected={selected} links={links} name={name} />
  if (!piece) return <OutfitPart outfit={outfit} title={selected === 'reel' ? 'outfit' : name} strength={strength} />
  const joint = jointOf(piece)
  return (
    <Sheet
      title={pieceName(piece)}
      aside={
        <span className="text-sm text-quiet">
          {isLine(piece) ? piece.role : piece.role === 'hardware' ? hardwareOf(piece.type).name : piece.role}
        </span>
      }
    >
      {/* A key of its own for each piece: typed text never moves to another part's field. */}
      <div key={piece.id} role="group" aria-label="Settings of the part" className="grid gap-2" onBlur={bench.settle}>
        {strength}
        {links.some(({ id }) => id === selected) && (
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={trace.fuse === selected}
              onChange={(event) => bench.editTrace((old) => ({ ...old, fuse: event.target.checked ? selected : undefined }))}
            />
            fuse: meant to go first under a fish
          </label>
        )}
        <PieceSettings
          bench={bench}
          redraw={redraw}
          outfit={outfit}
          piece={piece}
          trace={trace}
          ownedSinkersKg={ownedSinkersKg}
        />
        <PlaceOnLine piece={piece} trace={trace} redraw={redraw} />
        {joint && joint.connection !== 'runsOn' && joint.connection !== 'fitted' && (
          <JointSettings bench={bench} piece={piece} joint={joint} trace={trace} outfit={outfit} />
        )}
      </div>
    </Sheet>
  )
}

/** Where along its line a part sits: from the reel's end, or up from the free end of the outfit's line. */
function PlaceOnLine({ piece, trace, redraw }: { piece: Piece; trace: Trace; redraw: Redraw }) {
  const range = slideRange(trace, piece.id)
  const show = useShow()
  if (!range) return null
  const onOutfit = ridesOn(piece) === OUTFIT
  const [downM, leastM, mostM] = onOutfit ? [-range.downM, -range.highM, -range.lowM] : [range.downM, range.lowM, range.highM]
  return (
    <QuantityField
      label={onOutfit ? 'above the end' : isLine(piece) ? 'sinker’s side' : 'down the line'}
      quantity="length"
      valueSi={downM}
      check={(si) =>
        si >= leastM - 1e-9 && si <= mostM + 1e-9
          ? undefined
          : `From ${show.computed('length', leastM)} to ${show.computed('length', mostM)}: nothing passes its neighbours.`
      }
      onChange={(si) => redraw.slideTo(piece.id, onOutfit ? -si : si)}
      step={(si, direction) => Math.min(mostM, Math.max(leastM, si + direction * 0.05))}
    />
  )
}

function LinkStrength({ selected, links, name }: { selected: string; links: Props['links']; name: string }) {
  const show = useShow()
  const link = links.find(({ id }) => id === selected)
  if (!link) return null
  return (
    <p className="rounded-md bg-well px-2 py-1" aria-live="polite">
      {name}: <strong>{show.computed('strength', link.strengthN)}</strong>{' '}
      <span className="text-quiet">± {show.computed('strength', link.variation * link.strengthN)}, </span>
      goes first {percent(link.first)}
      <LinkReason link={link} links={links} />
    </p>
  )
}

/** What a link's strength is made of, in one line. */
function LinkReason({ link, links }: { link: Link; links: readonly Link[] }) {
  const show = useShow()
  const at = links.findIndex(({ id }) => id === link.id)
  const side = link.governedBy === 'above' ? -1 : 1
  const line = link.governedBy === 'self' ? undefined : links[at + side]
  const basis = link.basis === 'own' ? 'own test' : 'nominal'
  if (line?.kind !== 'line') return <span className="block text-sm text-quiet">{basis}</span>
  return (
    <span className="block text-sm text-quiet">
      {percent(link.strengthN / line.strengthN)} of the line {link.governedBy}, {show.computed('strength', line.strengthN)};{' '}
      {basis}
    </span>
  )
}

function PieceSettings({
  bench,
  redraw,
  outfit,
  piece,
  trace,
  ownedSinkersKg,
}: {
  bench: Bench
  redraw: Redraw
  outfit: Outfit
  piece: Piece
  trace: Trace
  ownedSinkersKg: readonly number[]
}) {
  const set = (change: Partial<Piece>, tag?: string) =>
    bench.editTrace((old) => withPiece(old, piece.id, (now) => ({ ...now, ...change }) as Piece), tag)
  if (isLine(piece)) return <LineSettings bench={bench} redraw={redraw} outfit={outfit} line={piece} />
  switch (piece.role) {
    case 'hook':
      return (
        <HookSettings
          hook={piece}
          onSize={(size) => set({ size }, `${piece.id} size`)}
          onPattern={(pattern: HookPattern) => set({ pattern })}
          onMake={(make) => set(make)}
          patterns={HOOK_PATTERNS}
        />
      )
    case 'sinker':
      return (
        <>
          <QuantityField
            label="weight"
            quantity="mass"
            valueSi={piece.massKg}
            check={above(0, 50)}
            onChange={(massKg) => set({ massKg }, `${piece.id} mass`)}
            step={(massKg, direction) => nextOwned(ownedSinkersKg, massKg, direction)}
            hint="the steps are the sinkers owned"
          />
          <Field label="shape" htmlFor="sinker-shape">
            <Select
              id="sinker-shape"
              value={piece.shape}
              onChange={(event) => set({ shape: event.target.value as SinkerShape })}
              choices={Object.entries(SINKER_SHAPES).map(([value, { name }]) => ({ value, text: name }))}
            />
          </Field>
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={clipFor(trace, piece.id) !== undefined}
              onChange={(event) =>
                bench.editTrace((old) => (event.target.checked ? withClip(old, piece.id) : withoutClip(old, piece.id)))
              }
            />
            a release clip carries it through the cast
          </label>
        </>
      )
    case 'bait':
      return (
        <Field label="bait" htmlFor="bait-kind">
          <Select
            id="bait-kind"
            value={piece.bait}
            onChange={(event) => set({ bait: event.target.value as BaitType })}
            choices={Object.entries(BAITS).map(([value, { name }]) => ({ value, text: name }))}
          />
        </Field>
      )
    case 'hardware':
      return <HardwareSize piece={piece} onSize={(size) => set({ size })} />
    default:
      return (
        <QuantityField
          label="weight"
          quantity="mass"
          valueSi={piece.massKg}
          check={above(0, 50)}
          onChange={(massKg) => set({ massKg }, `${piece.id} mass`)}
        />
      )
  }
}

function HardwareSize({ piece, onSize }: { piece: HardwarePiece; onSize: (size: string) => void }) {
  const show = useShow()
  const { sizes } = hardwareOf(piece.type)
  if (sizes.length === 0) return <p className="text-quiet">Carries no pull of its own.</p>
  return (
    <Field label="size" htmlFor="hardware-size" hint="numbers fall as swivels grow">
      <Select
        id="hardware-size"
        value={piece.size ?? ''}
        onChange={(event) => onSize(event.target.value)}
        choices={sizes.map(({ size, strengthN }) => ({ value: size, text: `${size}: ${show.computed('strength', strengthN)}` }))}
      />
    </Field>
  )
}

/** The next owned weight up or down; the same where there is none. */
function nextOwned(ownedKg: readonly number[], massKg: number, direction: 1 | -1): number {
  const sorted = [...ownedKg].sort((a, b) => a - b)
  return (
    (direction === 1 ? sorted.find((owned) => owned > massKg * 1.001) : sorted.findLast((owned) => owned < massKg * 0.999)) ??
    massKg
  )
}

function OutfitPart({ outfit, title, strength }: { outfit: Outfit; title: string; strength: ReactNode }) {
  const show = useShow()
  const rows: [string, string][] = [
    [
      'rod',
      `${show.entered('length', outfit.rod.lengthM)}, rated ${show.entered('strength', outfit.rod.ratingLowN)} to ${show.entered('strength', outfit.rod.ratingHighN)}`,
    ],
    ...outfit.wound.map((line): [string, string] => [
      woundName(line),
      `${lineSpec(line, show)}, ${line.lengthM === undefined ? 'fills the spool' : show.entered('length', line.lengthM)}`,
    ]),
    ['line class', show.entered('strength', mainLine(outfit).strengthN)],
    ['most drag', show.entered('strength', outfit.reel.highestDragN)],
  ]
  return (
    <Sheet title={title} aside={<span className="text-sm text-quiet">{outfit.name}</span>}>
      {strength}
      <dl className="mt-2 grid grid-cols-[6rem_1fr] gap-x-3 gap-y-1">
        {rows.map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="text-quiet">{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-2 text-sm text-quiet">Belongs to the outfit; choose another one at the top of the page.</p>
    </Sheet>
  )
}
