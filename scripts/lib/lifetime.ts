/** What a run has begun, ended in turn when it is told to stop, at whatever point of its beginning that is. */
export class Lifetime {
  private readonly endings: (() => Promise<void> | void)[] = []
  private readonly stopping = new AbortController()
  /** Resolved once it is told to stop. */
  readonly told: Promise<void>

  /** Listens from the start for Ctrl-C, SIGTERM and the end of the process that forked it. */
  constructor() {
    this.told = new Promise((resolve) => {
      const stop = () => {
        this.stopping.abort()
        resolve()
      }
      process.on('SIGINT', stop)
      process.on('SIGTERM', stop)
      process.on('disconnect', stop)
    })
  }

  /** Whether it was told to stop: what is still to begin need not. */
  get isEnding(): boolean {
    return this.stopping.signal.aborted
  }

  onEnd(ending: () => Promise<void> | void): void {
    this.endings.push(ending)
  }

  /** Ends what was begun, the last first. */
  async end(): Promise<void> {
    for (const ending of this.endings.splice(0).reverse()) await ending()
  }
}
