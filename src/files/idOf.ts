/** An id made from a text: the same text, the same id. Source: FNV-1a (G. Fowler, L. C. Noll, K.-P. Vo), four times over. */
export function idOf(text: string): string {
  const words = [0, 1, 2, 3].map((seed) => {
    let hash = (0x811c9dc5 ^ (seed * 0x9e3779b1)) >>> 0
    for (let i = 0; i < text.length; i += 1) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193) >>> 0
    return Math.imul(hash ^ (hash >>> 15), 0x85ebca6b) >>> 0
  })
  const hex = words.map((word) => word.toString(16).padStart(8, '0')).join('')
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20, 32)}`
}
