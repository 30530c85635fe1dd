/** The query parameters of a span of time. */
export const spanOf = (fromMs: number, toMs: number) =>
  `from=${new Date(fromMs).toISOString()}&to=${new Date(toMs).toISOString()}`
