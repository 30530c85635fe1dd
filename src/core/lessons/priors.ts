/** What is thought before anything was logged: so many events in so many hours, so many yes and no. */
export type Priors = {
  /** Snags, sinkers and traces lost. */
  losses: { events: number; hours: number }
  /** Bites, missed bites and fish. */
  fish: { events: number; hours: number }
  /** A share, such as hooked deep. */
  share: { yes: number; no: number }
}

/** Half a loss in four hours, half a fish in two, one yes and one no: little against the first trip. Ours. */
export const DEFAULT_PRIORS: Priors = {
  losses: { events: 0.5, hours: 4 },
  fish: { events: 0.5, hours: 2 },
  share: { yes: 1, no: 1 },
}
