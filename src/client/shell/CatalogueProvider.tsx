import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { lazy, type ReactNode, Suspense, useCallback, useMemo, useState } from 'react'
import { type OwnConnection, withOwn } from '../../core/catalogue/catalogue.ts'
import { ownConnections } from '../../core/learning/knotLessons.ts'
import { changeCrewSettings, crewSettingsQuery } from '../api/documents.ts'
import { pullsQuery } from '../api/observations.ts'
import { CatalogueContext, useNominalCatalogue } from '../catalogue/useCatalogue.ts'
import { toast } from '../regional/toast.ts'
import { useKept } from '../settings/useKept.ts'

const FieldFigures = lazy(() => import('../lessons/FieldFigures.tsx'))
const NONE: OwnConnection[] = []

/** Provides the catalogue: the nominal tables, with the crew’s own pull tests in place of nominal figures, and breaks where they count. */
export function CatalogueProvider({ children }: { children: ReactNode }) {
  const [own, setOwn] = useKept('own-figures', true)
  const client = useQueryClient()
  const saved = useQuery(crewSettingsQuery).data?.content.fieldBreaks ?? false
  // The checkbox changes at once: a mutation reports its variables only after the click.
  const [asked, setAsked] = useState<boolean>()
  const { mutate } = useMutation({
    mutationFn: (fieldBreaks: boolean) => changeCrewSettings(client, (old) => ({ ...old, fieldBreaks })),
    onError: (error) => toast.error(error.message),
    // An earlier click may settle while a later one is still being saved.
    onSettled: (_data, _error, sent) => setAsked((now) => (now === sent ? undefined : now)),
  })
  const setField = useCallback(
    (next: boolean) => {
      setAsked(next)
      mutate(next)
    },
    [mutate],
  )
  const field = asked ?? saved
  const pulls = useQuery(pullsQuery).data
  const nominal = useNominalCatalogue()
  const [broken, setBroken] = useState(NONE)
  const catalogue = useMemo(() => {
    if (!own) return nominal
    const measured = [...(pulls ? ownConnections(nominal, pulls) : []), ...(field ? broken : [])]
    return measured.length > 0 ? withOwn(nominal, measured) : nominal
  }, [nominal, own, pulls, field, broken])
  const known = useMemo(
    () => ({ catalogue, nominal, own, setOwn, field, setField }),
    [catalogue, nominal, own, setOwn, field, setField],
  )
  return (
    <CatalogueContext value={known}>
      {children}
      {own && field && (
        <Suspense>
          <FieldFigures nominal={nominal} onKnown={setBroken} />
        </Suspense>
      )}
    </CatalogueContext>
  )
}
