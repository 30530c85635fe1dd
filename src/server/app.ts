import Koa from 'koa'
import compress from 'koa-compress'
import type { Logger } from 'pino'
import { DOCUMENT_KIND_NAMES, type DocumentKind } from '../shared/kindNames.ts'
import type { BackupDesk } from './backup/backupDesk.ts'
import type { KeptBackups } from './backup/keptBackups.ts'
import { backupRoutes } from './backup/routes.ts'
import { BatchRepository } from './batches/repository.ts'
import { batchRoutes } from './batches/routes.ts'
import { tiedRoutes } from './batches/tiedRoutes.ts'
import { calculationRoutes } from './calculations/routes.ts'
import type { Database } from './db/database.ts'
import { DemoData } from './demo/demoData.ts'
import { demoRoutes } from './demo/demoRoutes.ts'
import { type ContentCheck, documentRoutes } from './documents/documentRoutes.ts'
import { DocumentRepository } from './documents/repository.ts'
import { healthRoutes } from './health/routes.ts'
import { type AllowedHosts, checkHostAndOrigin, rejectMalformedPaths } from './http/allowedHosts.ts'
import { identifyCrew } from './http/crew.ts'
import { drainBody } from './http/drainBody.ts'
import { errorHandler } from './http/errorHandler.ts'
import { HttpError } from './http/httpError.ts'
import { DEFAULT_MOST, limitRate } from './http/rateLimit.ts'
import { readBody } from './http/readBody.ts'
import { requestLog } from './http/requestLog.ts'
import { securityHeaders } from './http/securityHeaders.ts'
import { serveClient } from './http/serveClient.ts'
import { writeJson } from './http/writeJson.ts'
import type { JobPool } from './jobs/jobPool.ts'
import { TallyRepository } from './lessons/repository.ts'
import { lessonRoutes } from './lessons/routes.ts'
import { TripSums } from './lessons/sums.ts'
import { OwnFigures } from './observations/ownFigures.ts'
import { ObservationRepository } from './observations/repository.ts'
import { observationRoutes } from './observations/routes.ts'
import { printRoutes } from './print/routes.ts'
import { scaleRoutes } from './scale/routes.ts'
import type { ScaleSource } from './scale/scaleSource.ts'
import { standInScale } from './scale/standInScale.ts'
import { StockRepository } from './stock/repository.ts'
import { stockRoutes } from './stock/routes.ts'
import { tideRoutes } from './tides/routes.ts'
import { standInTides } from './tides/standInTides.ts'
import type { TideService } from './tides/tideService.ts'
import { weatherRoutes } from './weather/routes.ts'
import { standInWeather } from './weather/standInWeather.ts'
import type { WeatherSource } from './weather/weatherSource.ts'

export type AppOptions = {
  db: Database
  log: Logger
  jobs: JobPool
  backups: BackupDesk
  allowedHosts: AllowedHosts
  clientFolder?: string
  /** The backups that are made by themselves; absent, none are. */
  keptBackups?: KeptBackups
  /** Requests of one client in ten seconds; left out, more than any person sends. */
  mostRequests?: number
  /** Services outside; left out, the stand-ins that ship. */
  tides?: TideService
  weather?: WeatherSource
  scale?: ScaleSource
  /** Time between the readings of a scale; left out, as a real one reads. */
  scaleTickMs?: number
}

/** A single document takes longer to compress than to send. */
const WORTH_COMPRESSING = 16_384

/** The whole server, wired: every resource is composed here. */
export function createApp(options: AppOptions): Koa {
  const {
    db,
    log,
    jobs,
    backups,
    allowedHosts,
    clientFolder,
    keptBackups,
    mostRequests = DEFAULT_MOST,
    tides = standInTides,
    weather = standInWeather,
    scale = standInScale,
    scaleTickMs,
  } = options
  const app = new Koa()
  const documents = new DocumentRepository(db)
  const observations = new ObservationRepository(db)
  const stock = new StockRepository(db)
  const ownFigures = new OwnFigures(observations, jobs)
  const checks = contentChecks(documents, tides)
  const routers = [
    calculationRoutes(jobs, (crewId) => ownFigures.of(crewId)),
    backupRoutes(backups, keptBackups),
    tideRoutes(tides),
    weatherRoutes(weather),
    scaleRoutes(scale, scaleTickMs),
    observationRoutes(observations),
    stockRoutes(stock),
    batchRoutes(new BatchRepository(db, stock)),
    tiedRoutes(documents),
    lessonRoutes(new TripSums(new TallyRepository(db), jobs, tides)),
    printRoutes(jobs),
    demoRoutes(new DemoData(db, documents, observations, stock)),
    ...DOCUMENT_KIND_NAMES.map((kind) => documentRoutes(kind, documents, checks[kind] as ContentCheck<DocumentKind> | undefined)),
  ]

  app.on('error', (error) => log.error({ err: error }, 'a response failed'))
  app.use(securityHeaders())
  app.use(identifyCrew)
  app.use(requestLog(log))
  app.use(drainBody)
  app.use(errorHandler(log))
  app.use(rejectMalformedPaths)
  app.use(checkHostAndOrigin(allowedHosts))
  // Asked by whoever watches over the server: before anything that may make a client wait.
  app.use(healthRoutes(db).routes())
  app.use(limitRate(mostRequests))
  app.use(compress({ threshold: WORTH_COMPRESSING }))
  app.use(writeJson)
  app.use(readBody())
  for (const router of routers) app.use(router.routes()).use(router.allowedMethods())
  if (clientFolder) for (const step of serveClient(clientFolder)) app.use(step)
  return app
}

type ContentChecks = { [K in DocumentKind]?: ContentCheck<K> }

/** What must hold of a content beyond its contract: that what is named is there. */
function contentChecks(documents: DocumentRepository, tides: TideService): ContentChecks {
  const missing = (code: string, message: string, field: string, fault: string) =>
    new HttpError(400, code, message, { issues: [{ path: ['content', field], message: fault }] })
  return {
    traces: async (crewId, { outfitId }) => {
      if (!(await documents.find({ crewId, kind: 'outfits', id: outfitId })))
        throw missing('unknown-outfit', 'The outfit of this trace does not exist.', 'outfitId', 'does not exist')
    },
    marks: async (_crewId, { portId }) => {
      if (portId !== undefined && !(await tides.ports()).some(({ id }) => id === portId))
        throw missing('unknown-port', 'The port of this mark does not exist.', 'portId', 'does not exist')
    },
    settings: async (crewId, { ruleSetId }) => {
      if (ruleSetId !== undefined && !(await documents.find({ crewId, kind: 'rule-sets', id: ruleSetId })))
        throw missing('unknown-rule-set', 'The rule set in the settings does not exist.', 'ruleSetId', 'does not exist')
    },
  }
}
