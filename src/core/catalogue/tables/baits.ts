/** Baits: drag area (m²) broadside to the stream and in flight, a usual mass (kg), and whether it spins in the stream. Nominal; masses and spin ours. */
export const BAITS = {
  lugworm: { name: 'lugworm', streamM2: 0.0006, flightM2: 0.0008, massKg: 0.012, spins: false },
  peelerCrab: { name: 'peeler crab', streamM2: 0.0012, flightM2: 0.0018, massKg: 0.025, spins: false },
  cuttlefishStrip: { name: 'cuttlefish strip', streamM2: 0.0008, flightM2: 0.001, massKg: 0.02, spins: true },
  razorClam: { name: 'razor clam', streamM2: 0.0008, flightM2: 0.001, massKg: 0.018, spins: false },
  sandeel: { name: 'sandeel', streamM2: 0.0008, flightM2: 0.0009, massKg: 0.02, spins: false },
  halfFish: { name: 'half fish', streamM2: 0.002, flightM2: 0.0025, massKg: 0.08, spins: true },
  wholePouting: { name: 'whole pouting', streamM2: 0.0025, flightM2: 0.0035, massKg: 0.15, spins: false },
} as const
