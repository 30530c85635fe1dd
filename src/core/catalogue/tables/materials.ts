export type MaterialItem = {
  name: string
  densityKgperM3: number
  stressPa: number
  sanePa: number
  wetCondition: number
  /** How stiff it is as fished: wet nylon, braid on its stated diameter. */
  modulusPa: number
  /** Years on a reel after which it is pulled or renewed. Ours. */
  lastsYears: number
  unitsPerMetre: number
}

/**
 * Line materials. Nominal working values of the craft.
 * `stressPa` gives a diameter from a strength where none is known; `sanePa` is the strength over area beyond which a
 * label or a diameter is optimistic; `wetCondition` is the share of strength left when wet.
 */
export const MATERIALS = {
  mono: {
    name: 'mono',
    densityKgperM3: 1140,
    stressPa: 0.57e9,
    sanePa: 1.2e9,
    wetCondition: 0.9,
    modulusPa: 2.2e9,
    lastsYears: 2,
    unitsPerMetre: 0.05,
  },
  fluoro: {
    name: 'fluoro',
    densityKgperM3: 1780,
    stressPa: 0.54e9,
    sanePa: 1.2e9,
    wetCondition: 1,
    modulusPa: 2.5e9,
    lastsYears: 4,
    unitsPerMetre: 0.35,
  },
  braid: {
    name: 'braid',
    densityKgperM3: 970,
    stressPa: 2.3e9,
    sanePa: 4e9,
    wetCondition: 1,
    modulusPa: 30e9,
    lastsYears: 5,
    unitsPerMetre: 0.1,
  },
  wire: {
    name: 'wire',
    densityKgperM3: 7900,
    stressPa: 1.95e9,
    sanePa: 2.5e9,
    wetCondition: 1,
    modulusPa: 190e9,
    lastsYears: 3,
    unitsPerMetre: 0.9,
  },
  cable: {
    name: 'cable',
    densityKgperM3: 7900,
    stressPa: 1.1e9,
    sanePa: 2e9,
    wetCondition: 1,
    modulusPa: 100e9,
    lastsYears: 3,
    unitsPerMetre: 1.4,
  },
  cord: {
    name: 'cord',
    densityKgperM3: 1380,
    stressPa: 0.4e9,
    sanePa: 1e9,
    wetCondition: 1,
    modulusPa: 6e9,
    lastsYears: 5,
    unitsPerMetre: 0.15,
  },
} as const satisfies Record<string, MaterialItem>

/** Single-strand wire by number: diameter (mm) and strength (lb) as printed. Nominal. */
export const WIRE_NUMBERS = [
  { number: 2, diameterMm: 0.28, strengthLb: 27 },
  { number: 3, diameterMm: 0.3, strengthLb: 32 },
  { number: 4, diameterMm: 0.33, strengthLb: 38 },
  { number: 5, diameterMm: 0.36, strengthLb: 44 },
  { number: 6, diameterMm: 0.41, strengthLb: 58 },
  { number: 7, diameterMm: 0.46, strengthLb: 69 },
  { number: 8, diameterMm: 0.51, strengthLb: 86 },
  { number: 9, diameterMm: 0.56, strengthLb: 104 },
  { number: 10, diameterMm: 0.61, strengthLb: 128 },
  { number: 12, diameterMm: 0.74, strengthLb: 176 },
] as const
