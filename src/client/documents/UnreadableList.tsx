import type { Unreadable } from '../../shared/documentKinds.ts'

/** Documents of a list that cannot be read here: each shown as itself, with why, and kept as it is. */
export function UnreadableList({ unreadable }: { unreadable: readonly Unreadable[] }) {
  if (unreadable.length === 0) return null
  return (
    <ul aria-label="Cannot be read" className="grid gap-1.5">
      {unreadable.map(({ id, name, message }) => (
        <li key={id} className="rounded-lg border border-watch bg-sheet px-3 py-2">
          {name && <strong className="mr-2">{name}</strong>}
          {message} <span className="text-quiet">It is kept unchanged.</span>
        </li>
      ))}
    </ul>
  )
}
