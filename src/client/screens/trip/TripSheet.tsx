/** A part of the plan of a trip, in lines. */
export type SheetPart = { title: string; lines: readonly string[] }

/** The plan of a trip on one page of paper. */
export function TripSheet({ name, sheet }: { name: string; sheet: readonly SheetPart[] }) {
  return (
    <div className="hidden print:block">
      <h1 className="text-xl font-bold" translate="no">
        {name}
      </h1>
      <div className="columns-2 gap-8">
        {sheet.map(({ title, lines }) => (
          <section key={title} className="mt-3 break-inside-avoid">
            <h2 className="font-semibold">{title}</h2>
            <ul>
              {lines.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          </section>
        ))}
      </div>
    </div>
  )
}
