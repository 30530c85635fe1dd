import { scaleLinear } from 'd3-scale'

/** About so many places of an axis, SI, that fall on round numbers of the unit it is shown in. `unit` is in SI. */
export const roundTicks = (fromSi: number, toSi: number, unit: number, count: number): number[] =>
  scaleLinear([fromSi / unit, toSi / unit], [0, 1])
    .ticks(count)
    .map((tick) => tick * unit)
