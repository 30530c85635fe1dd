import type { Context, Middleware } from 'koa'
import helmet from 'koa-helmet'

/** What pages of this server may load and run: only what is its own. */
export const securityHeaders = (): Middleware =>
  helmet({
    contentSecurityPolicy: {
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
        styleSrc: ["'self'"],
        // Photos that this browser keeps are shown as blobs.
        imgSrc: ["'self'", 'data:', 'blob:'],
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

/** Lets a page put in styles of its own that say the nonce it was served with. */
export function allowStyles(ctx: Context, nonce: string): void {
  const policy = String(ctx.response.get('Content-Security-Policy'))
  ctx.set('Content-Security-Policy', policy.replace("style-src 'self'", `style-src 'self' 'nonce-${nonce}'`))
}
