import { createServer } from 'node:net'

/** A port of loopback that nothing listens on just now. */
export function freePort(): Promise<number> {
  return new Promise((done, fail) => {
    const probe = createServer()
    probe.once('error', fail)
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address()
      probe.close(() => (typeof address === 'object' && address ? done(address.port) : fail(new Error('no port'))))
    })
  })
}
