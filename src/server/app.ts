import { createReadStream, existsSync } from 'node:fs'
import { join } from 'node:path'
import { bodyParser } from '@koa/bodyparser'
import Koa from 'koa'
import compress from 'koa-compress'
import helmet from 'koa-helmet'
import serve from 'koa-static'
import type { Logger } from 'pino'
import { gearContent } from '../shared/gear.ts'
import { markContent } from '../shared/marks.ts'
import { outfitContent } from '../shared/outfits.ts'
import { ruleSetContent } from '../shared/ruleSets.ts'
import { traceContent } from '../shared/traces.ts'
import { calculationRoutes } from './calculations/routes.ts'
import type { Database } from './db/database.ts'
import { healthRoutes } from './health/routes.ts'
import { identifyCrew } from './http/crew.ts'
import { errorHandler } from './http/errorHandler.ts'
import { HttpError } from './http/httpError.ts'
import { tideRoutes } from './tides/routes.ts'
import { standInTides } from './tides/standInTides.ts'
import type { TideService } from './tides/tideService.ts'
import { DocumentRepository } from './versioned/repository.ts'
import { versionedRoutes } from './versioned/routes.ts'
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
  const outfits = new DocumentRepository<typeof outfitContent._output>(db, 'outfits')
  const routers = [
    healthRoutes(db),
    calculationRoutes(),
    tideRoutes(tides),
    weatherRoutes(weather),
    versionedRoutes({ path: 'outfits', one: 'outfit', content: outfitContent, repository: outfits }),
    versionedRoutes({
      path: 'traces',
      one: 'trace',
      content: traceContent,
      repository: new DocumentRepository<typeof traceContent._output>(db, 'traces'),
      check: async (crewId, { outfitId }) => {
        if (!(await outfits.find(crewId, outfitId)))
          throw new HttpError(400, 'unknown-outfit', 'The trace names an outfit that is not there.', {
            issues: [{ path: ['content', 'outfitId'], message: 'names no outfit' }],
          })
      },
    }),
    versionedRoutes({
      path: 'gear',
      one: 'piece of gear',
      content: gearContent,
      repository: new DocumentRepository<typeof gearContent._output>(db, 'gear'),
    }),
    versionedRoutes({
      path: 'marks',
      one: 'mark',
      content: markContent,
      repository: new DocumentRepository<typeof markContent._output>(db, 'marks'),
      check: async (_crewId, { portId }) => {
        if (!(await tides.ports()).some(({ id }) => id === portId))
          throw new HttpError(400, 'unknown-port', 'The mark names a port that is not there.', {
            issues: [{ path: ['content', 'portId'], message: 'names no port' }],
          })
      },
    }),
    versionedRoutes({
      path: 'rule-sets',
      one: 'rule set',
      content: ruleSetContent,
      repository: new DocumentRepository<typeof ruleSetContent._output>(db, 'ruleSets'),
    }),
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
