import { useState } from 'react'
import { isFound, plainText, searchForms } from '../../../core/edit/searchForms.ts'
import { TermDrawing } from '../../fishing/TermDrawing.tsx'
import { fieldClass } from '../../ui/controls.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { GLOSSARY } from '../../words/glossary.ts'

/** The words of the trade, with what each means; found by the words of any region. */
export default function GlossaryScreen() {
  usePageTitle('Glossary')
  const [typed, setTyped] = useState('')
  const forms = searchForms(typed)
  const found = GLOSSARY.filter(({ name, also = [], means }) => isFound(plainText([name, ...also, means].join(' ')), forms))
  return (
    <div className="mx-auto grid max-w-4xl gap-3 p-3 sm:p-6">
      <h1 className="text-xl font-bold">Glossary</h1>
      <input
        type="search"
        className={`${fieldClass} max-w-80`}
        placeholder="Search the words"
        aria-label="Search the words"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      {found.length === 0 && <p role="status">No word like this. Try another.</p>}
      <dl className="grid gap-3 sm:grid-cols-2">
        {found.map(({ id, name, also, means }) => (
          <div key={id} className="rounded-lg border border-rule bg-sheet p-3">
            <dt className="font-bold first-letter:uppercase">{[name, ...(also ?? [])].join(', ')}</dt>
            <dd className="mt-1">
              {means}
              <TermDrawing id={id} />
            </dd>
          </div>
        ))}
      </dl>
    </div>
  )
}
