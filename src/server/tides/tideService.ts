import type { TideSpan } from '../../core/physics/tide/tideSpan.ts'
import type { Port } from '../../shared/tides.ts'

/** Where tides come from: a harbour authority's service, or the stand-in that ships. */
export type TideService = {
  ports: () => Promise<readonly Port[]>
  /**
   * The tide of a port between two instants; undefined where there is no such port.
   * @throws CoreError 'out-of-range' for years that are not predicted.
   */
  tide: (portId: string, fromMs: number, toMs: number) => Promise<TideSpan | undefined>
}
