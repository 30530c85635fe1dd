import { addObservations } from '../../api/observations.ts'
import { ImportFile } from '../../documents/ImportFile.tsx'

const NOTHING_ELSE = {}

/** Takes in a table of pulls: every wrong line is named, and a table taken in twice counts once. */
export const ImportPulls = ({ onTaken }: { onTaken: () => void }) => (
  <ImportFile
    title="Take in pulls"
    about="A CSV file with a line for each pull: when, knot (or none: the line by itself), material, line, load, parted (knot, line, hook or slipped). Taken in twice, it counts once."
    file={{ label: 'CSV file', accept: '.csv,text/csv' }}
    format="pulls"
    readWith={NOTHING_ELSE}
    shown={(pulls) => (
      <p>
        <strong>{pulls.length}</strong> {pulls.length === 1 ? 'pull' : 'pulls'} in this table.
      </p>
    )}
    take={addObservations}
    takenWords={(count) => `${count === 1 ? 'One pull' : `${count} pulls`} taken in.`}
    onSettled={onTaken}
  />
)
