/** How a rod bends, and how much stiffer it is at the tip than one of medium action. Nominal, ours. */
export const ROD_ACTIONS = {
  soft: { name: 'soft, bends to the butt', stiffness: 0.7 },
  medium: { name: 'medium', stiffness: 1 },
  fast: { name: 'fast, bends at the tip', stiffness: 1.4 },
} as const
