import { createReadStream, existsSync } from 'node:fs'
import { join } from 'node:path'
import { bodyParser } from '@koa/bodyparser'
import Koa from 'koa'
import compress from 'koa-compress'
import helmet from 'koa-helmet'
import serve from 'koa-static'
import type { Logger } from 'pino'
import { DOCUMENT_KIND_NAMES, type DocumentKind } from '../shared/documentKinds.ts'
import { calculationRoutes } from './calculations/routes.ts'
import type { Database } from './db/database.ts'
import { type ContentCheck, documentRoutes } from './documents/documentRoutes.ts'
import { DocumentRepository } from './documents/repository.ts'
import { healthRoutes } from './health/routes.ts'
import { identifyCrew } from './http/crew.ts'
import { errorHandler } from './http/errorHandler.ts'
import { HttpError } from './http/httpError.ts'
import { ObservationRepository } from './observations/repository.ts'
import { observationRoutes } from './observations/routes.ts'
import { tideRoutes } from './tides/routes.ts'
import { standInTides } from './tides/standInTides.ts'
import type { TideService } from './tides/tideService.ts'
import { weatherRoutes } from './weather/routes.ts'
import { standInWeather } from './weather/standInWeather.ts'
import type { WeatherSource } from './weather/weatherSource.ts'

export type AppOptions = {
  db: Database
  log: Logger
  clientFolder?: string
  /** Services outside; left out, the stand-ins that ship. */
  tides?: TideService
  weather?: WeatherSource
}

/** The whole server, wired: every resource is composed here. */
export function createApp({ db, log, clientFolder, tides = standInTides, weather = standInWeather }: AppOptions): Koa {
  const app = new Koa()
  const documents = new DocumentRepository(db)
  const checks = contentChecks(documents, tides)
  const routers = [
    healthRoutes(db),
    calculationRoutes(),
    tideRoutes(tides),
    weatherRoutes(weather),
    observationRoutes(new ObservationRepository(db)),
    ...DOCUMENT_KIND_NAMES.map((kind) => documentRoutes(kind, documents, checks[kind] as ContentCheck<DocumentKind> | undefined)),
  ]

  app.on('error', (error) => log.error({ err: error }, 'a response failed'))
  app.use(securityHeaders())
  app.use(compress({ threshold: 1024 }))
  app.use(errorHandler(log))
  app.use(identifyCrew)
  app.use(bodyParser({ enableTypes: ['json'], jsonLimit: '1mb', jsonStrict: false }))
  for (const router of routers) app.use(router.routes()).use(router.allowedMethods())
  if (clientFolder) serveClient(app, clientFolder)
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
        throw missing('unknown-outfit', 'The trace names an outfit that is not there.', 'outfitId', 'names no outfit')
    },
    marks: async (_crewId, { portId }) => {
      if (!(await tides.ports()).some(({ id }) => id === portId))
        throw missing('unknown-port', 'The mark names a port that is not there.', 'portId', 'names no port')
    },
    settings: async (crewId, { ruleSetId }) => {
      if (ruleSetId !== undefined && !(await documents.find({ crewId, kind: 'rule-sets', id: ruleSetId })))
        throw missing('unknown-rule-set', 'The settings name a rule set that is not there.', 'ruleSetId', 'names no rule set')
    },
  }
}

function securityHeaders() {
  return helmet({
    contentSecurityPolicy: {
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:'],
        workerSrc: ["'self'"],
        connectSrc: ["'self'"],
        fontSrc: ["'self'"],
        objectSrc: ["'none'"],
        frameAncestors: ["'none'"],
        // The server speaks plain http on loopback.
        upgradeInsecureRequests: null,
      },
    },
    strictTransportSecurity: false,
  })
}

/** The built client: hashed files for good, and its one page for every address of the application. */
function serveClient(app: Koa, folder: string): void {
  const setHeaders = (res: { setHeader: (name: string, value: string) => void }, path: string) =>
    res.setHeader('Cache-Control', path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache')
  app.use(serve(folder, { setHeaders }))
  app.use(async (ctx) => {
    const page = join(folder, 'index.html')
    if (ctx.method !== 'GET' || ctx.path.startsWith('/api') || !existsSync(page)) return
    ctx.type = 'html'
    ctx.set('Cache-Control', 'no-cache')
    ctx.body = createReadStream(page)
  })
}
