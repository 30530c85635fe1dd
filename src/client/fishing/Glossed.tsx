import { Popover } from 'radix-ui'
import { glossed, type Term } from '../words/glossary.ts'
import { TermDrawing } from './TermDrawing.tsx'

/** A sentence whose words of the trade can be touched: each opens what it means. */
export const Glossed = ({ children }: { children: string }) =>
  glossed(children).map((piece, i) =>
    typeof piece === 'string' ? <span key={i}>{piece}</span> : <TermButton key={i} {...piece} />,
  )

function TermButton({ word, term }: { word: string; term: Term }) {
  return (
    <Popover.Root>
      <Popover.Trigger className="term cursor-help underline decoration-dotted underline-offset-2">{word}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          className="z-30 grid w-72 max-w-[90vw] gap-2 rounded-lg border border-edge bg-sheet p-3 text-ink shadow-lg"
          sideOffset={4}
          collisionPadding={8}
          aria-label={term.name}
        >
          <p>
            <strong className="first-letter:uppercase">{term.name}</strong>
          </p>
          <TermDrawing id={term.id} />
          <p className="text-sm">{term.means}</p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
