/** Drag of a bait trailing end on as it sinks, over its drag broadside to the stream. Nominal, ours: about that of a slim body. */
export const END_ON_SHARE = 0.2
