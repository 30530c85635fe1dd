/** Release speed and length of the stroke by style of cast. Nominal working values of the craft; `none`: dropped, not cast. */
export const CAST_STYLES = {
  lob: { name: 'lob', releaseSpeedMperS: 20, strokeM: 3.5 },
  overhead: { name: 'overhead', releaseSpeedMperS: 35, strokeM: 5 },
  offTheGround: { name: 'off the ground', releaseSpeedMperS: 45, strokeM: 6.5 },
  pendulum: { name: 'pendulum', releaseSpeedMperS: 58, strokeM: 8 },
} as const
