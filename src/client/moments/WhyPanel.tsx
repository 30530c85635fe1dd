import { ownFiguresText } from '../../core/joints/ownFigures.ts'
import type { AnyResult } from '../../core/moments/moments.ts'
import type { Setup } from '../../core/setup/setup.ts'
import { Glossed } from '../fishing/Glossed.tsx'
import { spoken } from '../regional/spoken.ts'
import { Button, Sheet } from '../ui/controls.tsx'
import { copyText } from '../ui/copyText.ts'
import { inputValueWords, ORIGIN_WORDS } from '../words/inputWords.ts'
import { momentName } from '../words/momentNames.ts'
import { DerivationPanel } from './DerivationPanel.tsx'
import { viewOf } from './momentViews.ts'
import { useWording } from './useWording.ts'

/** What a verdict rests on: its rule, what follows, and its inputs with where each came from. */
export function WhyPanel({ result, setup }: { result: AnyResult; setup: Setup }) {
  const wording = useWording(setup)
  const { rule, inputs, words, figure: figureOf, Why } = viewOf(result)
  const name = momentName(result.moment)
  const known = words(wording)
  return (
    <Sheet
      title={`Why: ${name}`}
      aside={
        <span className="flex">
          <Button
            tone="quiet"
            onClick={() => copyText(`${setup.trace.name}, ${spoken(`${name}: ${result.verdict}. ${figureOf(result, wording)}`)}`)}
          >
            Copy
          </Button>
          <DerivationPanel setup={setup} moment={result.moment} />
        </span>
      }
    >
      <p className="mb-2 text-sm text-quiet">
        <Glossed>{`${rule(wording.show)} All figures are estimates.`}</Glossed>
      </p>
      <Why result={result} setup={setup} />
      <table className="w-full text-sm">
        <caption className="sr-only">Inputs of {name}</caption>
        <tbody>
          {result.inputs.map((input) => {
            const named = [inputs[input.key], input.ref && wording.nameOf(input.ref)].filter(Boolean).join(': ')
            const title = named || input.key
            return (
              <tr key={`${input.key} ${title} ${input.value}`} className="border-t border-rule">
                <th scope="row" className="py-0.5 pr-2 text-left font-normal">
                  {title}
                </th>
                <td className="pr-2 text-right whitespace-nowrap">{inputValueWords(input, wording.show, known)}</td>
                <td className="text-right text-quiet">
                  {(input.ref && ownFiguresText(setup, input.ref)) || ORIGIN_WORDS[input.origin]}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </Sheet>
  )
}
