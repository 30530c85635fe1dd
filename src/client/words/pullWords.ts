/** So many of one’s own pulls, in words. */
export const yourPulls = (count: number): string => (count === 1 ? 'your one pull' : `your ${count} pulls`)
