import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import type { TripRod } from '../../../core/documents/trip.ts'
import { type Happening, SIGNS } from '../../../core/documents/tripEvent.ts'
import { listQuery, sinkersQuery } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { useShow } from '../../settings/preferences.tsx'
import { SIGN_WORDS } from '../../words/tripWords.ts'
import { sinkerWords } from '../../words/waterWords.ts'
import { ChoicePanel } from './ChoicePanel.tsx'

/** What is answered by one touch on a list. */
export type AskedFew = 'snag' | 'sinker' | 'bait' | 'trace' | 'lost' | 'seen' | 'retied'

/** Lengths that are cut away, m. */
const CUT_M = [1, 2, 5, 10, 20]

type Props = {
  asked: AskedFew
  rod: TripRod
  onSave: (what: Happening) => void
  onClose: () => void
}

/** Asks what one touch cannot say: what was lost or seen, or which gear is on the rod from now on. */
export function AskPanel({ asked, rod, onSave, onClose }: Props) {
  const show = useShow()
  const catalogue = useCatalogue()
  const sinkers = useQuery(sinkersQuery).data ?? []
  const tied = useQuery(listQuery('tied')).data?.documents ?? []
  const baits = useMemo(() => Object.values(catalogue.baits).map(({ name }) => name), [catalogue])
  switch (asked) {
    case 'snag':
      return (
        <ChoicePanel
          title="Snag"
          about="What was lost?"
          onClose={onClose}
          onChoose={(lost) => onSave({ type: 'snag', lost: lost as 'nothing' | 'sinker' | 'trace' })}
          choices={[
            { key: 'nothing', name: 'nothing, all saved' },
            { key: 'sinker', name: 'the sinker' },
            { key: 'trace', name: 'the trace' },
          ]}
        />
      )
    case 'lost':
      return (
        <ChoicePanel
          title="Fish lost"
          about="Where was it lost?"
          onClose={onClose}
          onChoose={(where) => onSave({ type: 'lost', where: where === 'side' ? 'side' : 'run' })}
          choices={[
            { key: 'run', name: 'on the way in' },
            { key: 'side', name: 'at the side' },
          ]}
        />
      )
    case 'retied':
      return (
        <ChoicePanel
          title="Re-tied"
          about="How much line was cut away?"
          onClose={onClose}
          onChoose={(cutM) => onSave({ type: 'retied', ...(cutM === '' ? {} : { cutM: Number(cutM) }) })}
          choices={[
            { key: '', name: 'only the knot' },
            ...CUT_M.map((cutM) => ({ key: String(cutM), name: `about ${show.entered('length', cutM)}` })),
          ]}
        />
      )
    case 'seen':
      return (
        <ChoicePanel
          title="Seen"
          about="What do you see?"
          onClose={onClose}
          onChoose={(key) => {
            const sign = SIGNS.find((each) => each === key)
            if (sign) onSave({ type: 'seen', sign })
          }}
          choices={SIGNS.map((sign) => ({ key: sign, name: SIGN_WORDS[sign] }))}
        />
      )
    case 'sinker':
      return (
        <ChoicePanel
          title="Sinker"
          about="What is on the rod from now on?"
          onClose={onClose}
          onChoose={(i) => {
            const sinker = sinkers[Number(i)]
            if (sinker)
              onSave({ type: 'changed', part: 'sinker', to: sinkerWords(catalogue, sinker, show, true), massKg: sinker.massKg })
          }}
          choices={sinkers
            .map((sinker, i) => ({ key: String(i), name: sinkerWords(catalogue, sinker, show, true), massKg: sinker.massKg }))
            .sort((a, b) => a.massKg - b.massKg)}
        />
      )
    case 'bait':
      return (
        <ChoicePanel
          title="Bait"
          about="What is on the hook from now on?"
          onClose={onClose}
          onChoose={(to) => onSave({ type: 'changed', part: 'bait', to })}
          choices={baits.map((name) => ({ key: name, name }))}
        />
      )
    case 'trace': {
      const ready = tied.filter(({ content }) => content.state === 'ready' && content.traceId === rod.trace?.id)
      return (
        <ChoicePanel
          title="Trace"
          about="Which tied trace goes on?"
          onClose={onClose}
          onChoose={(id) => {
            const chosen = ready.find((each) => each.id === id)
            onSave({
              type: 'changed',
              part: 'trace',
              to: chosen?.content.name ?? 'another of the same',
              ...(chosen ? { tiedId: chosen.id } : {}),
            })
          }}
          choices={[
            ...ready.map(({ id, content }) => ({ key: id, name: content.name, below: content.keptIn })),
            { key: '', name: 'another of the same' },
          ]}
        />
      )
    }
  }
}
