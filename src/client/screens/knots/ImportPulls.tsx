import { addObservations } from '../../api/observations.ts'
import { ImportFile } from '../../documents/ImportFile.tsx'

const NOTHING_ELSE = {}

/** Takes in a table of pulls: every wrong line is named, and a table taken in twice counts once. */
export const ImportPulls = ({ onTaken }: { onTaken: () => void }) => (
  <ImportFile
    title="Import tests"
    about="A CSV file with one test per row: when, knot (empty for line alone), material, line, load, parted (knot, line, hook or slipped). A test imported twice counts once."
    file={{ label: 'CSV file', accept: '.csv,text/csv' }}
    format="pulls"
    readWith={NOTHING_ELSE}
    shown={(pulls) => (
      <p>
        <strong>{pulls.length}</strong> {pulls.length === 1 ? 'test' : 'tests'} in this table.
      </p>
    )}
    take={addObservations}
    takenWords={(count) => `${count === 1 ? '1 test' : `${count} pulls`} imported.`}
    onSettled={onTaken}
  />
)
