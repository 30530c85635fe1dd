import type { OwnConnection } from '../../core/catalogue/catalogue.ts'
import type { JobPool } from '../jobs/jobPool.ts'
import type { ObservationRepository } from './repository.ts'

type Known = { version: number; figures: Promise<OwnConnection[]> }

/**
 * What each crew’s pulls lay over the nominal figures: worked out in a thread, and kept until the crew adds an observation. Rows are
 * only ever added, also by another server on the same database, so their number says whether there are new ones.
 */
export class OwnFigures {
  private readonly observations: ObservationRepository
  private readonly jobs: JobPool
  private readonly known = new Map<string, Known>()

  constructor(observations: ObservationRepository, jobs: JobPool) {
    this.observations = observations
    this.jobs = jobs
  }

  async of(crewId: string): Promise<OwnConnection[]> {
    const version = await this.observations.countPulls(crewId)
    if (version === 0) return []
    const known = this.known.get(crewId)
    if (known?.version === version) return known.figures
    const figures = this.workOut(crewId)
    this.known.set(crewId, { version, figures })
    // What failed is asked again, not kept.
    figures.catch(() => this.known.delete(crewId))
    return figures
  }

  private async workOut(crewId: string): Promise<OwnConnection[]> {
    const answer = await this.jobs.run({ kind: 'ownFigures', observations: await this.observations.pullsAsJson(crewId) })
    if (answer.kind !== 'done') throw new Error(`own figures were not worked out: ${JSON.stringify(answer)}`)
    return answer.output as OwnConnection[]
  }
}
