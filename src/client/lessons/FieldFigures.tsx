import { useEffect } from 'react'
import type { Catalogue, OwnConnection } from '../../core/catalogue/catalogue.ts'
import { asOwn } from '../../core/lessons/fieldEfficiency.ts'
import { useFieldEfficiencies } from './useFieldEfficiencies.ts'

type Props = { nominal: Catalogue; onKnown: (figures: OwnConnection[]) => void }

/** Draws nothing: works out what breaks on the water say of the knots while it is there. It loads only where they count. */
export default function FieldFigures({ nominal, onKnown }: Props) {
  const { efficiencies } = useFieldEfficiencies(nominal)
  useEffect(() => {
    if (efficiencies) onKnown(efficiencies.filter(({ chains }) => chains > 0).map(asOwn))
  }, [efficiencies, onKnown])
  return null
}
