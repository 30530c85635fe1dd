import { useMemo } from 'react'
import { strikeWords } from '../../../core/advice/strike.ts'
import { hookSuggest } from '../../../core/catalogue/hookSuggest.ts'
import type { HookPiece } from '../../../core/documents/trace.ts'
import { mainLine } from '../../../core/outfits/outfitLines.ts'
import { hookKindsFor } from '../../../core/purpose/hookKind.ts'
import { baitedHooks } from '../../../core/setup/baiting.ts'
import { prepareSetup } from '../../../core/setup/prepareSetup.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { HookToScale } from '../../charts/HookToScale.tsx'
import { choicesOf, Field, Select } from '../../ui/controls.tsx'
import type { NewTrace } from './useNewTrace.ts'

/** The bait, the kind of hook with both schools, and its size with the reason; the hook is drawn to scale. */
export function BaitAndHook({ made, family, setup }: { made: NewTrace; family: NonNullable<NewTrace['family']>; setup: Setup }) {
  const catalogue = useCatalogue()
  const { choices, purpose, say } = made
  const baited = useMemo(() => baitedHooks(prepareSetup(setup))[0], [setup])
  const hook = baited?.hook ?? setup.trace.pieces.find((piece): piece is HookPiece => piece.role === 'hook')
  const bait = setup.trace.pieces.find((piece) => piece.role === 'bait')
  const alive = baited?.body.alive ?? false
  const sizes = hook && baited ? hookSuggest(catalogue, { pattern: hook.pattern, ...baited.wanted }).sizes : []
  if (!hook) return <p className="text-quiet">This family has no bait or hook: they come with the lure.</p>
  return (
    <>
      {family.bait && (
        <Field label="bait" htmlFor="new-bait">
          <Select
            id="new-bait"
            value={bait?.bait}
            onChoose={(next) => say({ bait: next, hookSize: undefined })}
            choices={choicesOf(catalogue.baits)}
          />
        </Field>
      )}
      <Field label="pattern" htmlFor="new-pattern">
        <Select
          id="new-pattern"
          value={hook.pattern}
          onChoose={(next) => say({ hookPattern: next, hookSize: undefined })}
          choices={choicesOf(catalogue.hooks.patterns)}
        />
      </Field>
      <Field label="hook size" htmlFor="new-size" hint="2/0 is large, 2 is small">
        <Select
          id="new-size"
          value={hook.size}
          onChoose={(next) => say({ hookSize: next })}
          choices={catalogue.hooks.sizes.map((size) => ({
            value: size,
            text: [size, sizes.find((each) => each.size === size)?.why].filter(Boolean).join(': '),
          }))}
        />
      </Field>
      <div className="grid items-start gap-3 text-sm sm:grid-cols-[auto_minmax(0,1fr)]">
        <HookToScale pattern={hook.pattern} size={hook.size} gapeM={hook.gapeM} wireM={hook.wireM} />
        <div className="grid gap-1.5">
          {purpose.target &&
            family.bait &&
            hookKindsFor(purpose, alive).map(({ pattern, why, cost, barred }, i) => (
              <p key={pattern} className={i === 0 ? '' : 'text-quiet'}>
                <strong className="font-semibold">{catalogue.hooks.patterns[pattern].name}</strong>
                {i === 0 && choices.said.hookPattern === undefined && ' (taken)'}: {why}{' '}
                {barred ? 'Not allowed by your rule set.' : cost}
              </p>
            ))}
          <p>
            {strikeWords(hook.pattern, alive, { material: mainLine(setup.outfit).material, outM: setup.conditions.lineOutM })}
          </p>
        </div>
      </div>
    </>
  )
}
