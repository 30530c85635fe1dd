/** Settings that people keep to, as shares of line class; the field's own names. */
export const DRAG_SCHOOLS = [
  { name: '25 %', share: 0.25 },
  { name: '30 %', share: 0.3 },
  { name: 'a third', share: 1 / 3 },
] as const
