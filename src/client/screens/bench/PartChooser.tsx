import { type KeyboardEvent, useState } from 'react'
import type { EditResult } from '../../../core/edit/editResult.ts'
import { isInWords } from '../../../core/edit/inWords.ts'
import { PART_GROUPS } from '../../../core/edit/newParts.ts'
import { isFound, plainText, searchForms } from '../../../core/edit/searchForms.ts'
import { fieldClass } from '../../ui/controls.tsx'

export type PartChoice = { id: string; name: string; group: (typeof PART_GROUPS)[number]; result: EditResult }

type Props = {
  choices: readonly PartChoice[]
  onChoose: (result: Extract<EditResult, { ok: true }>) => void
  /** Where several parts may be written at once: what a text makes. */
  write?: (text: string) => EditResult
}

/** Parts by kind, found by typing a few letters, or several written at once; Enter takes the first that can be. What cannot says why. */
export function PartChooser({ choices, onChoose, write }: Props) {
  const [typed, setTyped] = useState('')
  const written = write && isInWords(typed) ? write(typed) : undefined
  const wanted = typed.trim().toLowerCase()
  const forms = searchForms(typed)
  const shown = choices.filter(({ name }) => isFound(plainText(name), forms))
  const first = bestMatch(shown, wanted)
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key !== 'Enter') return
    event.preventDefault()
    const result = written ?? first?.result
    if (result?.ok) onChoose(result)
  }
  return (
    <div className="mt-3 grid gap-2">
      <input
        className={fieldClass}
        value={typed}
        placeholder={write ? 'search, or type several parts' : 'search'}
        aria-label="Part to search for"
        autoComplete="off"
        data-focus-first
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={onKeyDown}
      />
      {write && <InWords written={written} />}
      {PART_GROUPS.map((group) => {
        if (written) return null
        const row = shown.filter((choice) => choice.group === group)
        if (row.length === 0) return null
        return (
          <section key={group} aria-label={group}>
            <h3 className="text-sm font-semibold text-quiet">{group}</h3>
            <ul className="grid gap-x-3 sm:grid-cols-2">
              {row.map((choice) => (
                <ChoiceRow key={choice.id} choice={choice} isFirst={wanted !== '' && choice === first} onChoose={onChoose} />
              ))}
            </ul>
          </section>
        )
      })}
      {shown.length === 0 && !written && <p className="text-quiet">No part has this name.</p>}
    </div>
  )
}

/** What the words make, or why they make nothing; before any, how they are written. */
function InWords({ written }: { written: EditResult | undefined }) {
  return (
    <p role="status" className={`text-sm ${written && !written.ok ? 'text-watch' : 'text-quiet'}`}>
      {written === undefined
        ? 'Several at once: leader 40 lb 3 m (sinker 90 g; bead), swivel, snood 60 cm, hook 2/0, bait. Use commas between parts, brackets for parts on a part, semicolons inside brackets.'
        : written.ok
          ? `Press Enter to add them.${written.said ? ` ${written.said}.` : ''}`
          : `Not complete: ${written.why}.`}
    </p>
  )
}

/** What Enter takes: the part called just that, else one that begins so, else the first that holds it. */
function bestMatch(shown: readonly PartChoice[], wanted: string): PartChoice | undefined {
  const possible = shown.filter(({ result }) => result.ok)
  return (
    possible.find(({ name }) => name.toLowerCase() === wanted) ??
    possible.find(({ name }) => name.toLowerCase().startsWith(wanted)) ??
    possible[0]
  )
}

function ChoiceRow({ choice, isFirst, onChoose }: { choice: PartChoice; isFirst: boolean; onChoose: Props['onChoose'] }) {
  const { name, result } = choice
  return (
    <li>
      <button
        type="button"
        disabled={!result.ok}
        className={`min-h-9 w-full rounded-md px-2 py-1 text-left enabled:hover:bg-well disabled:text-quiet ${isFirst ? 'bg-well font-semibold' : ''}`}
        onClick={() => result.ok && onChoose(result)}
      >
        {name}
        {!result.ok && <span className="block text-sm">{result.why}</span>}
      </button>
    </li>
  )
}
