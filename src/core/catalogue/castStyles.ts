/** Peak pull over mean pull along the stroke. Nominal. */
export const CAST_PEAK_FACTOR = 2
