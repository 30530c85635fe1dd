import { NOMINAL_CATALOGUE, type OwnConnection } from '../../core/catalogue/catalogue.ts'
import { ownConnections, standingPulls } from '../../core/learning/knotLessons.ts'
import { readTold } from '../../shared/observations.ts'
import type { ObservationRepository } from './repository.ts'

/** What a crew’s pulls lay over the nominal figures. */
export const ownFiguresIn =
  (observations: ObservationRepository) =>
  async (crewId: string): Promise<OwnConnection[]> =>
    ownConnections(NOMINAL_CATALOGUE, standingPulls(readTold(await observations.list(crewId, { kind: 'pull' }))))
