import { useId } from 'react'
import { ANGLERS, type Angler, type OutfitAdvice } from '../../../core/purpose/outfitFor.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Field, Select } from '../../ui/controls.tsx'
import { phraseWords } from '../../words/findingWords.ts'
import type { NewTrace } from './useNewTrace.ts'

const ANGLER_WORDS: Record<Angler, string> = {
  usual: 'someone used to it',
  guest: 'guests, close together',
  tires: 'someone small, older or tired',
}
const SUIT_WORDS: Record<OutfitAdvice['suits'], string> = { well: 'suits', marginal: 'marginal', not: 'not suitable' }
const SUIT_TONES: Record<OutfitAdvice['suits'], string> = { well: 'text-holds', marginal: 'text-watch', not: 'text-fails' }

/** The outfits, those that suit the fish, the place and the angler first, each with its reasons. */
export function OutfitChoice({ outfits, outfit: chosen, choices, choose }: NewTrace) {
  const show = useShow()
  const id = useId()
  return (
    <div className="grid gap-2">
      <Field label="who fishes" htmlFor={`${id}-angler`}>
        <Select
          id={`${id}-angler`}
          value={choices.angler ?? 'usual'}
          onChoose={(angler) => choose({ angler })}
          choices={ANGLERS.map((value) => ({ value, text: ANGLER_WORDS[value] }))}
        />
      </Field>
      <div role="radiogroup" aria-label="outfit" className="grid gap-1.5 sm:grid-cols-2">
        {outfits.map(({ outfit, advice }) => (
          <label
            key={outfit.id}
            className={`flex cursor-pointer gap-2 rounded-md border p-2 ${outfit.id === chosen.id ? 'border-tide bg-well' : 'border-rule'}`}
          >
            <input
              type="radio"
              name="outfit"
              value={outfit.id}
              checked={outfit.id === chosen.id}
              onChange={() => choose({ outfitId: outfit.id })}
              aria-describedby={advice.reasons.length > 0 ? `${id}-${outfit.id}` : undefined}
              aria-label={outfit.content.name}
              translate="no"
              className="mt-0.5 size-5 shrink-0"
            />
            <span className="min-w-0">
              <span translate="no">{outfit.content.name}</span>
              {advice.reasons.length > 0 && (
                <span id={`${id}-${outfit.id}`} className="block text-sm text-quiet">
                  <strong className={SUIT_TONES[advice.suits]}>{SUIT_WORDS[advice.suits]}</strong>{' '}
                  {advice.reasons.map(({ why }) => phraseWords(why, show)).join(' ')}
                </span>
              )}
            </span>
          </label>
        ))}
      </div>
    </div>
  )
}
