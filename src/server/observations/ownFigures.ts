import type { OwnConnection } from '../../core/catalogue/catalogue.ts'
import type { JobPool } from '../jobs/jobPool.ts'
import type { ObservationRepository } from './repository.ts'

type Known = { version: number; figures: Promise<OwnConnection[]> }

/**
 * The figures measured by each crew, calculated in a thread and cached until the crew adds an observation. Rows are never changed or
 * deleted, so their number shows whether there are new ones, also from another server on the same database.
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
    // Do not cache a failure.
    figures.catch(() => this.known.delete(crewId))
    return figures
  }

  private async workOut(crewId: string): Promise<OwnConnection[]> {
    const answer = await this.jobs.run({ kind: 'ownFigures', observations: await this.observations.pullsAsJson(crewId) })
    if (answer.kind !== 'done') throw new Error(`own figures were not worked out: ${JSON.stringify(answer)}`)
    return answer.output as OwnConnection[]
  }
}
