import { useState } from 'react'
import { BREAK_MOMENTS, type Happening } from '../../../core/documents/tripEvent.ts'
import { percent } from '../../../core/units/percent.ts'
import { BigButton } from './BigButton.tsx'
import { ChoicePanel } from './ChoicePanel.tsx'
import type { NamedLink } from './useRodSetup.ts'

const DURING = { cast: 'casting', run: 'a fish ran', snag: 'snagged', hand: 'in the hand' }
const UNSEEN = ''

type Props = {
  links: readonly NamedLink[]
  onSave: (what: Extract<Happening, { type: 'break' }>) => void
  onClose: () => void
}

/** Asks which link broke. The likeliest is at the top; “did not see” stores none. */
export function BreakPanel({ links, onSave, onClose }: Props) {
  const [during, setDuring] = useState<(typeof BREAK_MOMENTS)[number]>('run')
  return (
    <ChoicePanel
      title="Where did it break?"
      about="Touch the part."
      onClose={onClose}
      onChoose={(key) => onSave({ type: 'break', during, ...(key === UNSEEN ? {} : { link: key }) })}
      choices={[
        { key: UNSEEN, name: 'did not see' },
        ...links.map(({ key, name, chance }) => ({
          key,
          name,
          ...(chance >= 0.05 ? { below: `breaks first in ${percent(chance)}` } : {}),
        })),
      ]}
    >
      <fieldset>
        <legend className="text-sm text-quiet">while</legend>
        <div className="grid grid-cols-2 gap-2">
          {BREAK_MOMENTS.map((moment) => (
            <BigButton key={moment} name={DURING[moment]} isChosen={during === moment} onClick={() => setDuring(moment)} />
          ))}
        </div>
      </fieldset>
    </ChoicePanel>
  )
}
