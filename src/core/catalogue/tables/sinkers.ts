/** Sinker shapes: drag area over that of a sphere of the same mass (end-on in flight for bombs). Nominal. */
export const SINKER_SHAPES = {
  ball: { name: 'ball', flight: 1 },
  bullet: { name: 'bullet', flight: 0.7 },
  barrel: { name: 'barrel', flight: 1 },
  pear: { name: 'pear', flight: 0.8 },
  bomb: { name: 'bomb', flight: 0.5 },
  pyramid: { name: 'pyramid', flight: 1.2 },
  flat: { name: 'flat', flight: 1.2 },
  gripWire: { name: 'wired grip', flight: 0.6 },
  bar: { name: 'cut bar', flight: 1.3 },
  shot: { name: 'split shot', flight: 1 },
} as const
