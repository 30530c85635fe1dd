import { DENSITY_KG_PER_M3 } from '../../math/constants.ts'

/** What sinkers are made of. Tin and stone nominal. */
export const SINKER_METALS = {
  lead: { name: 'lead', densityKgperM3: DENSITY_KG_PER_M3.lead },
  tungsten: { name: 'tungsten', densityKgperM3: DENSITY_KG_PER_M3.tungsten },
  brass: { name: 'brass', densityKgperM3: DENSITY_KG_PER_M3.brass },
  steel: { name: 'steel', densityKgperM3: DENSITY_KG_PER_M3.steel },
  tin: { name: 'tin', densityKgperM3: 7300 },
  castIron: { name: 'cast iron', densityKgperM3: 7200 },
  zinc: { name: 'zinc', densityKgperM3: 7140 },
  bismuth: { name: 'bismuth', densityKgperM3: 9780 },
  concrete: { name: 'concrete', densityKgperM3: 2400 },
  stone: { name: 'stone', densityKgperM3: 2600 },
} as const

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
