import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { type ReactNode, useMemo } from 'react'
import { withOwn } from '../../core/catalogue/catalogue.ts'
import { ownConnections } from '../../core/learning/knotLessons.ts'
import { asOwn } from '../../core/lessons/fieldEfficiency.ts'
import { changeCrewSettings, crewSettingsQuery } from '../api/documents.ts'
import { pullsQuery } from '../api/observations.ts'
import { CatalogueContext, useNominalCatalogue } from '../catalogue/useCatalogue.ts'
import { useFieldEfficiencies } from '../lessons/useFieldEfficiencies.ts'
import { toast } from '../regional/toast.ts'
import { useKept } from '../settings/useKept.ts'

/** Provides the catalogue: the nominal tables, with the crew’s own pull tests in place of nominal figures, and breaks where they count. */
export function CatalogueProvider({ children }: { children: ReactNode }) {
  const [own, setOwn] = useKept('own-figures', true)
  const client = useQueryClient()
  const saved = useQuery(crewSettingsQuery).data?.content.fieldBreaks ?? false
  const { mutate, isPending, variables } = useMutation({
    mutationFn: (fieldBreaks: boolean) => changeCrewSettings(client, (old) => ({ ...old, fieldBreaks })),
    onError: (error) => toast.error(error.message),
  })
  const field = isPending ? variables : saved
  const pulls = useQuery(pullsQuery).data
  const nominal = useNominalCatalogue()
  const { efficiencies } = useFieldEfficiencies(nominal, own && field)
  const catalogue = useMemo(() => {
    const measured = own && pulls ? ownConnections(nominal, pulls) : []
    const broken = (efficiencies ?? []).filter(({ chains }) => chains > 0).map(asOwn)
    return measured.length + broken.length > 0 ? withOwn(nominal, [...measured, ...broken]) : nominal
  }, [nominal, own, pulls, efficiencies])
  const known = useMemo(
    () => ({ catalogue, nominal, own, setOwn, field, setField: mutate }),
    [catalogue, nominal, own, setOwn, field, mutate],
  )
  return <CatalogueContext value={known}>{children}</CatalogueContext>
}
