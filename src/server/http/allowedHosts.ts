import { isIP } from 'node:net'
import type { Context, Middleware } from 'koa'
import { HttpError } from './httpError.ts'

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]']
const EVERY_ADDRESS = ['0.0.0.0', '::']
const READS = ['GET', 'HEAD', 'OPTIONS']

/** What the server serves: where it listens, and the other names that it goes by. */
export type AllowedHosts = { host: string; names?: readonly string[] }

/**
 * Lets in only requests that were meant for this server: under a name it serves, so that no foreign name that resolves to it reads or
 * writes here; and changes only from its own pages or from no page at all. Listening on every address, it goes by its numbers too,
 * which no foreign name is.
 */
export function checkHostAndOrigin({ host, names = [] }: AllowedHosts): Middleware {
  const served = new Set([...LOOPBACK, bracketed(host), ...names].map((name) => name.toLowerCase()))
  const byNumber = EVERY_ADDRESS.includes(host)
  return async (ctx, next) => {
    const { hostname } = hostOf(ctx)
    if (!served.has(hostname) && !(byNumber && isIP(hostname.replace(/^\[|\]$/g, '')) > 0))
      throw new HttpError(403, 'wrong-host', 'This server does not serve this host name. See ALLOWED_HOSTS.')
    if (!isRead(ctx) && isForeign(ctx))
      throw new HttpError(403, 'foreign-page', 'Only pages of this application may make changes.')
    await next()
  }
}

export const isRead = ({ method }: Context): boolean => READS.includes(method)

const bracketed = (host: string) => (isIP(host) === 6 ? `[${host}]` : host)

function hostOf({ req }: Context): { hostname: string; host: string } {
  const given = req.headers.host ?? ''
  try {
    const { hostname, host } = new URL(`http://${given}`)
    return { hostname: hostname.toLowerCase(), host }
  } catch {
    return { hostname: '', host: '' }
  }
}

/** Whether a page of another place sent it. Behind a proxy the scheme may differ, the name and port do not. */
function isForeign(ctx: Context): boolean {
  const site = ctx.get('Sec-Fetch-Site')
  if (site !== '' && site !== 'same-origin' && site !== 'none') return true
  const origin = ctx.get('Origin')
  if (origin === '') return false
  try {
    return new URL(origin).host !== hostOf(ctx).host
  } catch {
    return true
  }
}

/** An address with steps up, empty steps, back-slashes or bytes that are no text names nothing. */
export const rejectMalformedPaths: Middleware = async (ctx, next) => {
  if (isOdd(ctx.req.url ?? '')) throw new HttpError(404, 'no-such-route', 'This address does not exist.')
  await next()
}

function isOdd(url: string): boolean {
  const path = url.split('?')[0] ?? ''
  try {
    const plain = decodeURIComponent(path)
    return !plain.startsWith('/') || plain.startsWith('//') || /[\\\0]/.test(plain) || plain.split('/').includes('..')
  } catch {
    return true
  }
}
