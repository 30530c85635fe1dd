import { useNavigate, useSearchParams } from 'react-router'
import type { Method } from '../../../core/catalogue/ids.ts'
import { isCastMethod } from '../../../core/catalogue/methods.ts'
import { hasTide, MARK_KINDS, type Mark, type MarkKind, USUAL_METHOD } from '../../../core/documents/mark.ts'
import { assumedStream, strongestOf } from '../../../core/plan/assumedStream.ts'
import type { Port } from '../../../shared/tides.ts'
import type { SavedMark } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { DocumentFormFrame } from '../../documents/DocumentFormFrame.tsx'
import { NameField } from '../../documents/NameField.tsx'
import { useDocumentForm } from '../../documents/useDocumentForm.ts'
import { BedField, DistanceField, MethodField, ScopeAndWeedFields } from '../../fishing/WaterFields.tsx'
import { Field, fieldClass, Select, Sheet } from '../../ui/controls.tsx'
import { PositionField } from '../../ui/PositionField.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { newTraceAddress } from '../../words/addresses.ts'
import { CurrentFields } from './CurrentFields.tsx'
import { TideFields } from './TideFields.tsx'

const FIELD_NAMES = {
  name: 'The mark',
  latitudeDeg: 'The latitude',
  longitudeDeg: 'The longitude',
  depthM: 'The depth',
  wayBackM: 'The height at which the way back closes',
  stream: 'The current table',
  heights: 'The tide table',
}

type Props = { saved: SavedMark | undefined; blank: Mark; ports: readonly Port[] }

const isOnShore = (method: Method) => method === 'shore'

/** Everything that is known of a mark. What is typed is kept in this browser until it is saved. */
export function MarkForm({ saved, blank, ports }: Props) {
  const navigate = useNavigate()
  const [search] = useSearchParams()
  const { methods } = useCatalogue()
  usePageTitle('Mark', saved?.content.name ?? 'New')
  const form = useDocumentForm({
    kind: 'marks',
    saved,
    blank,
    fieldNames: FIELD_NAMES,
    // In the first steps the trace comes next.
    onSaved: ({ id }) =>
      void navigate(search.has('first') ? newTraceAddress({ outfit: search.get('outfit'), mark: id }) : '/water/marks'),
  })
  const { content: mark, change } = form
  /** An assumed current follows the tide: without one it is as strong at any hour. */
  const changeTide = (tide: Partial<Mark>) =>
    change({
      ...tide,
      ...(mark.streamFrom !== 'table' && { stream: assumedStream(strongestOf(mark.stream), hasTide({ ...mark, ...tide })) }),
    })
  const chooseKind = (markKind: MarkKind | '') => {
    if (markKind === '') return change({ markKind: undefined })
    const method = USUAL_METHOD[markKind]
    change({ markKind, ...(isOnShore(mark.method) !== isOnShore(method) && { method, scope: methods[method].scope }) })
  }
  return (
    <DocumentFormFrame of={form} title={saved ? saved.content.name : 'New mark'} back={{ to: '/water/marks', text: 'All marks' }}>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-2">
        <div className="grid gap-3">
          <Sheet title="Mark">
            <div className="grid gap-2">
              <NameField id="mark-name" name={mark.name} onChange={(name) => change({ name })} />
              <Field label="kind" htmlFor="mark-kind">
                <Select
                  id="mark-kind"
                  value={mark.markKind ?? ''}
                  onChoose={chooseKind}
                  choices={[
                    ...(mark.markKind ? [] : [{ value: '' as const, text: 'choose' }]),
                    ...MARK_KINDS.map((value) => ({ value, text: value })),
                  ]}
                />
              </Field>
              <QuantityField
                label="depth"
                quantity="depth"
                valueSi={mark.depthM}
                check={(m) => (m > 0 && m <= 2000 ? undefined : 'Must be more than 0 and up to 2 km.')}
                onChange={(depthM) => change({ depthM })}
                hint={hasTide(mark) ? 'at chart datum, without the tide' : 'where the bait lies'}
              />
              <BedField of={mark} onChange={change} />
              {(mark.markKind === 'rock' || mark.markKind === 'beach') && (
                <QuantityField
                  label="way back closes at"
                  quantity="depth"
                  valueSi={mark.wayBackM}
                  placeholder="never"
                  check={(m) => (m >= -5 && m <= 20 ? undefined : 'Must be from −5 to 20 m.')}
                  onChange={(wayBackM) => change({ wayBackM })}
                  onClear={() => change({ wayBackM: undefined })}
                  hint="height of the tide; a trip warns half an hour before"
                />
              )}
            </div>
          </Sheet>
          <Sheet title="Tide">
            <TideFields mark={mark} ports={ports} onChange={changeTide} />
          </Sheet>
          <Sheet title="Current">
            <CurrentFields mark={mark} onChange={change} />
          </Sheet>
        </div>
        <div className="grid gap-3">
          <Sheet title="Method">
            <div className="grid gap-2">
              <MethodField of={mark} onChange={change} />
              {isCastMethod(mark.method) && <DistanceField of={mark} onChange={change} />}
              <ScopeAndWeedFields of={mark} onChange={change} />
            </div>
          </Sheet>
          <Sheet title="Position (optional)">
            <div className="grid gap-2">
              <p className="text-sm text-quiet">With a position, the plan has wind, sun and moon.</p>
              <PositionField kind="latitude" deg={mark.latitudeDeg} onChange={(latitudeDeg) => change({ latitudeDeg })} />
              <PositionField kind="longitude" deg={mark.longitudeDeg} onChange={(longitudeDeg) => change({ longitudeDeg })} />
              <Field label="clock" htmlFor="mark-zone" hint="times are shown in this zone">
                <Select
                  id="mark-zone"
                  value={mark.timeZone}
                  onChoose={(next) => change({ timeZone: next })}
                  choices={zonesWith(mark.timeZone)}
                />
              </Field>
            </div>
          </Sheet>
          <Sheet title="Notes">
            <textarea
              aria-label="notes"
              className={`${fieldClass} min-h-24`}
              maxLength={4000}
              value={mark.notes ?? ''}
              onChange={(event) => change({ notes: event.target.value })}
            />
          </Sheet>
        </div>
      </div>
    </DocumentFormFrame>
  )
}

/** Every zone this browser knows, and the mark’s own. */
const zonesWith = (own: string) =>
  [...new Set([own, 'UTC', ...Intl.supportedValuesOf('timeZone')])].toSorted().map((zone) => ({ value: zone, text: zone }))
