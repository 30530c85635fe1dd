import { useMemo, useState } from 'react'
import { linkKey } from '../../../core/documents/linkRef.ts'
import { BREAK_MOMENTS, type Happening } from '../../../core/documents/tripEvent.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import { percent } from '../../../core/units/percent.ts'
import { TouchReach } from '../../charts/TouchReach.tsx'
import { ScrollAcross } from '../../ui/ScrollAcross.tsx'
import { BigButton } from './BigButton.tsx'
import { ButtonRow } from './ButtonRow.tsx'
import { ChoicePanel } from './ChoicePanel.tsx'
import type { NamedLink } from './useRodSetup.ts'

const DURING = { cast: 'casting', run: 'a fish ran', snag: 'snagged', hand: 'in the hand' }
const UNSEEN = ''
/** As wide as a link needs to be hit by a thumb, px, and the least of the whole. */
const LINK_PX = 44
const MIN_WIDTH = 320

type Props = {
  setup: Setup | undefined
  links: readonly NamedLink[]
  onSave: (what: Extract<Happening, { type: 'break' }>) => void
  onClose: () => void
}

/** Most breaks are at the far end: that is seen first. */
const toEnd = (element: HTMLElement | null): void => {
  if (element) element.scrollLeft = element.scrollWidth
}

/** Asks which link broke: touched on the reach and confirmed, or chosen from the list, the likeliest at the top. “Did not see” stores none. */
export function BreakPanel({ setup, links, onSave, onClose }: Props) {
  const [during, setDuring] = useState<(typeof BREAK_MOMENTS)[number]>('run')
  const [touched, setTouched] = useState<string>()
  const keys = useMemo(() => new Set(links.map(({ key }) => key)), [links])
  const save = (key: string) => onSave({ type: 'break', during, ...(key === UNSEEN ? {} : { link: key }) })
  const touchedName = links.find(({ key }) => key === touched)?.name
  return (
    <ChoicePanel
      title="Where did it break?"
      about="Touch the part, on the drawing or in the list."
      onClose={onClose}
      onChoose={save}
      choices={[
        { key: UNSEEN, name: 'did not see' },
        ...links.map(({ key, name, chance }) => ({
          key,
          name,
          ...(chance >= 0.05 ? { below: `breaks first in ${percent(chance)}` } : {}),
        })),
      ]}
    >
      <ButtonRow
        label="while"
        choices={BREAK_MOMENTS.map((moment) => ({ value: moment, name: DURING[moment] }))}
        value={during}
        onChoose={setDuring}
      />
      {setup && (
        <ScrollAcross label="The reach" ref={toEnd}>
          <TouchReach
            rig={setup}
            width={Math.max(MIN_WIDTH, LINK_PX * links.length)}
            name="The reach: touch where it broke"
            links={keys}
            onTouch={(ref) => setTouched(linkKey(ref))}
          />
        </ScrollAcross>
      )}
      {touched !== undefined && touchedName !== undefined && (
        <BigButton name={`Save: ${touchedName}`} className="border-tide! bg-tide! text-on-tide!" onClick={() => save(touched)} />
      )}
    </ChoicePanel>
  )
}
