const MOST = 20

/** What is wrong with a file, each fault with its place, and that nothing was taken in. */
export function FileFaults({ faults }: { faults: readonly { place: string; message: string }[] }) {
  return (
    <div role="alert">
      <p className="font-semibold text-fails">
        This file cannot be imported: {faults.length === 1 ? '1 error' : `${faults.length} errors`}.
      </p>
      <ul className="mt-1 list-disc pl-5">
        {faults.slice(0, MOST).map(({ place, message }) => (
          <li key={`${place} ${message}`}>
            <code>{place}</code> {message}
          </li>
        ))}
        {faults.length > MOST && <li>and {faults.length - MOST} more</li>}
      </ul>
    </div>
  )
}
