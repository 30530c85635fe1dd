/** A length of line that stretches. */
export type StretchyLine = { lengthM: number; diameterM: number; modulusPa: number }

export type LungeInput = {
  dragN: number
  startFactor: number
  speedMperS: number
  layers: readonly StretchyLine[]
  /** Moment of inertia of the spool over its radius squared. */
  spoolEffectiveMassKg: number
  guideWrapRad: number
  guideFriction: number
  /** Left out: the rod points at the fish. */
  rodStiffnessNperM?: number | undefined
}
export type Lunge = { stiffnessNperM: number; peakAtReelN: number; peakN: number }

/**
 * Stiffness of lines one after the other, and of a rod with them: `1/k = Σ L/(E π d²/4) + 1/k_rod`.
 * @returns N/m.
 * Source: Hooke's law, springs in a row. Valid: small stretch.
 */
export function stiffnessNperM(layers: readonly StretchyLine[], rodStiffnessNperM?: number): number {
  const give = layers.reduce(
    (sum, { lengthM, diameterM, modulusPa }) => sum + lengthM / (modulusPa * (Math.PI / 4) * diameterM ** 2),
    0,
  )
  return 1 / (give + (rodStiffnessNperM === undefined ? 0 : 1 / rodStiffnessNperM))
}

/**
 * Peak pull of a sudden rush before the spool turns: line and rod stretch, the spool has mass.
 * `peakAtReel = drag + √(((start − 1) drag)² + v² k m)`, at the fish times `e^(μ · wrap)`.
 * Source: energy of a spring and a mass brought to a speed; capstan equation (Euler–Eytelwein).
 */
export function strengthLunge(input: LungeInput): Lunge {
  const stiffness = stiffnessNperM(input.layers, input.rodStiffnessNperM)
  const sticking = (input.startFactor - 1) * input.dragN
  const peakAtReelN = input.dragN + Math.hypot(sticking, input.speedMperS * Math.sqrt(stiffness * input.spoolEffectiveMassKg))
  return {
    stiffnessNperM: stiffness,
    peakAtReelN,
    peakN: peakAtReelN * Math.exp(input.guideFriction * input.guideWrapRad),
  }
}
