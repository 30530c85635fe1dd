/** The part of a drawing that is nearest to a place: along it or at its end. Undefined where nothing is drawn. */
export function nearestItem<T extends { x0: number; x1: number; y: number }>(
  items: readonly T[],
  x: number,
  y: number,
): T | undefined {
  const distance = ({ x0, x1, y: itemY }: T) => Math.hypot(Math.max(x0 - x, 0, x - x1), y - itemY)
  let best: T | undefined
  for (const item of items) if (!best || distance(item) < distance(best)) best = item
  return best
}
