import { useNavigate } from 'react-router'
import { isCastMethod } from '../../../core/catalogue/methods.ts'
import type { Mark } from '../../../core/documents/mark.ts'
import type { Port } from '../../../shared/tides.ts'
import type { SavedMark } from '../../api/documents.ts'
import { DocumentFormFrame } from '../../documents/DocumentFormFrame.tsx'
import { NameField } from '../../documents/NameField.tsx'
import { useDocumentForm } from '../../documents/useDocumentForm.ts'
import { BedField, DistanceField, MethodField, ScopeAndWeedFields } from '../../fishing/WaterFields.tsx'
import { Field, fieldClass, Select, Sheet } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { PositionField } from '../../ui/PositionField.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { HeightTable } from './HeightTable.tsx'
import { StreamTable } from './StreamTable.tsx'

const FIELD_NAMES = {
  name: 'The mark',
  latitudeDeg: 'The latitude',
  longitudeDeg: 'The longitude',
  depthM: 'The depth',
  stream: 'The current table',
  heights: 'The tide table',
}

type Props = { saved: SavedMark | undefined; blank: Mark; ports: readonly Port[] }

/** Everything that is known of a mark. What is typed is kept in this browser until it is saved. */
export function MarkForm({ saved, blank, ports }: Props) {
  const navigate = useNavigate()
  usePageTitle('Mark', saved?.content.name ?? 'New')
  const form = useDocumentForm({
    kind: 'marks',
    saved,
    blank,
    fieldNames: FIELD_NAMES,
    onSaved: () => void navigate('/water/marks'),
  })
  const { content: mark, change } = form
  return (
    <DocumentFormFrame of={form} title={saved ? saved.content.name : 'New mark'} back={{ to: '/water/marks', text: 'All marks' }}>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-2">
        <div className="grid gap-3">
          <Sheet title="Place">
            <div className="grid gap-2">
              <NameField id="mark-name" name={mark.name} onChange={(name) => change({ name })} />
              <PositionField kind="latitude" deg={mark.latitudeDeg} onChange={(latitudeDeg) => change({ latitudeDeg })} />
              <PositionField kind="longitude" deg={mark.longitudeDeg} onChange={(longitudeDeg) => change({ longitudeDeg })} />
              <QuantityField
                label="depth"
                quantity="length"
                valueSi={mark.depthM}
                check={(m) => (m > 0 && m <= 2000 ? undefined : 'Must be more than 0 and up to 2 km.')}
                onChange={(depthM) => change({ depthM })}
                hint="at chart datum, without the tide"
              />
              <BedField of={mark} onChange={change} />
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
          <Sheet title="Method">
            <div className="grid gap-2">
              <MethodField of={mark} onChange={change} />
              {isCastMethod(mark.method) && <DistanceField of={mark} onChange={change} />}
              <ScopeAndWeedFields of={mark} onChange={change} />
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
        <div className="grid gap-3">
          <Sheet title="Tide">
            <div className="grid gap-2">
              <Field label="port" htmlFor="mark-port">
                <Select
                  id="mark-port"
                  value={mark.portId}
                  onChoose={(next) => change({ portId: next })}
                  choices={ports.map(({ id, name }) => ({ value: id, text: name }))}
                />
              </Field>
              <NumberField
                label="high water"
                value={mark.highWaterAfterMin}
                least={-360}
                most={360}
                whole
                onChange={(highWaterAfterMin) => highWaterAfterMin !== undefined && change({ highWaterAfterMin })}
                hint="minutes after the port; negative is before"
              />
              <HeightTable mark={mark} onChange={(heights) => change({ heights })} />
            </div>
          </Sheet>
          <StreamTable stream={mark.stream} name={mark.name} onChange={(stream) => change({ stream })} />
        </div>
      </div>
    </DocumentFormFrame>
  )
}

/** Every zone this browser knows, and the mark’s own. */
const zonesWith = (own: string) =>
  [...new Set([own, 'UTC', ...Intl.supportedValuesOf('timeZone')])].toSorted().map((zone) => ({ value: zone, text: zone }))
