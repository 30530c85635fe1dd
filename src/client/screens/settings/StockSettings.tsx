import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { DEFAULT_ASSURANCE } from '../../../core/batch/spareRates.ts'
import type { CrewSettings } from '../../../core/documents/crewSettings.ts'
import { DEFAULT_OLD_DAYS } from '../../../core/documents/tied.ts'
import { changeCrewSettings, crewSettingsQuery } from '../../api/documents.ts'
import { Sheet } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { Failed, Fault, Loading } from '../../ui/states.tsx'

/** When a tied trace is old, and how surely spares are to be enough. */
export function StockSettings() {
  const client = useQueryClient()
  const settings = useQuery(crewSettingsQuery)
  const change = useMutation({ mutationFn: (next: (old: CrewSettings) => CrewSettings) => changeCrewSettings(client, next) })
  if (settings.error && !settings.data)
    return <Failed what="The settings" error={settings.error} onRetry={() => settings.refetch()} />
  if (!settings.data) return <Loading what="the settings" />
  const { oldAfterDays, sparesAssurance } = settings.data.content
  return (
    <Sheet title="Tied traces and spares">
      <p className="mb-3 text-quiet">
        Nylon ages in light and knots creep, so an old trace is marked. Spares are for the traces you may lose.
      </p>
      <div className="grid gap-2">
        <NumberField
          label="old after"
          value={oldAfterDays}
          whole
          least={7}
          most={3_650}
          placeholder={`${DEFAULT_OLD_DAYS} days`}
          hint="days since it was tied"
          onChange={(days) => change.mutate((old) => ({ ...old, oldAfterDays: days }))}
        />
        <NumberField
          label="spares enough"
          value={sparesAssurance === undefined ? undefined : sparesAssurance * 100}
          least={50}
          most={99}
          placeholder={`${DEFAULT_ASSURANCE * 100} %`}
          hint="in so many of 100 trips"
          onChange={(percent) =>
            change.mutate((old) => ({ ...old, sparesAssurance: percent === undefined ? undefined : percent / 100 }))
          }
        />
      </div>
      {change.error && <Fault>{change.error.message}</Fault>}
    </Sheet>
  )
}
