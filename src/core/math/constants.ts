/** Standard gravity, m/s² (CGPM 1901). */
export const GRAVITY_M_PER_S2 = 9.80665
/** Sea water, kg/m³, the default; fresh water is 1000. */
export const SEA_WATER_KG_PER_M3 = 1025
/** Air at sea level, 15 °C, kg/m³ (ISA). */
export const AIR_KG_PER_M3 = 1.225
/** Solids, kg/m³, as sold. */
export const DENSITY_KG_PER_M3 = { lead: 11340, tungsten: 17500, steel: 7850, brass: 8500 } as const
/** Fish, worm and shellfish as bait, a little denser than the sea, kg/m³. Nominal. */
export const BAIT_DENSITY_KG_PER_M3 = 1075
