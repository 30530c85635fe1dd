import { useState } from 'react'
import { hasTide, type Mark } from '../../../core/documents/mark.ts'
import { assumedStream, STREAM_WORDS, type StreamWord, strongestOf } from '../../../core/plan/assumedStream.ts'
import { useShow } from '../../settings/preferences.tsx'
import { choicesOf, Field, Select } from '../../ui/controls.tsx'
import { notBelow } from '../../ui/limits.ts'
import { NumberField } from '../../ui/NumberField.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { StreamTable } from './StreamTable.tsx'

type Source = Mark['streamFrom']
type StreamPart = Pick<Mark, 'stream' | 'streamFrom'>
type Props = { mark: Mark; onChange: (change: StreamPart) => void }

const SOURCES: Record<Source, { name: string }> = {
  words: { name: 'how strong it feels' },
  drift: { name: 'a float, timed' },
  table: { name: 'a table by the hour' },
}
const FLOAT_M = 20
const MAX_MPERS = 6

/** How strong the current is, as well as it is known. Anything but a table gives the strongest alone; the rest is assumed. */
export function CurrentFields({ mark, onChange }: Props) {
  const { streamFrom, stream } = mark
  const strongest = strongestOf(stream)
  // A table is there again when it is chosen again.
  const [table, setTable] = useState(stream)
  const assume = (mPerS: number, from: Source = streamFrom) =>
    onChange({ streamFrom: from, stream: assumedStream(mPerS, hasTide(mark)) })
  return (
    <div className="grid gap-2">
      <Field label="known from" htmlFor="mark-current-source">
        <Select
          id="mark-current-source"
          value={streamFrom}
          onChoose={(next) => {
            if (streamFrom === 'table') setTable(stream)
            if (next === 'table') onChange({ stream: table, streamFrom: next })
            else assume(strongest, next)
          }}
          choices={choicesOf(SOURCES)}
        />
      </Field>
      {streamFrom === 'words' && <WordFields strongest={strongest} onChange={assume} />}
      {streamFrom === 'drift' && <FloatFields onChange={assume} />}
      {streamFrom === 'table' ? (
        <StreamTable stream={stream} name={mark.name} onChange={(next) => onChange({ streamFrom, stream: next })} />
      ) : (
        <AssumedNote mark={mark} strongest={strongest} />
      )}
    </div>
  )
}

function WordFields({ strongest, onChange }: { strongest: number; onChange: (mPerS: number) => void }) {
  const word = (Object.keys(STREAM_WORDS) as StreamWord[]).find((each) => STREAM_WORDS[each].mPerS === strongest)
  return (
    <>
      <Field label="strongest" htmlFor="mark-current-word">
        <Select
          id="mark-current-word"
          value={word ?? ''}
          onChoose={(next) => next !== '' && onChange(STREAM_WORDS[next].mPerS)}
          choices={[...(word ? [] : [{ value: '' as const, text: 'as given below' }]), ...choicesOf(STREAM_WORDS)]}
        />
      </Field>
      <QuantityField label="that is" quantity="speed" valueSi={strongest} check={notBelow(MAX_MPERS)} onChange={onChange} />
    </>
  )
}

function FloatFields({ onChange }: { onChange: (mPerS: number) => void }) {
  const [lengthM, setLengthM] = useState(FLOAT_M)
  const [seconds, setSeconds] = useState<number>()
  const measure = (overM: number, inS: number | undefined) => inS !== undefined && onChange(Math.min(MAX_MPERS, overM / inS))
  return (
    <>
      <QuantityField
        label="a float goes"
        quantity="length"
        valueSi={lengthM}
        check={(m) => (m >= 1 && m <= 500 ? undefined : 'From 1 m to 500 m.')}
        onChange={(next) => {
          setLengthM(next)
          measure(next, seconds)
        }}
      />
      <NumberField
        label="in seconds"
        value={seconds}
        least={1}
        most={3600}
        onChange={(next) => {
          setSeconds(next)
          measure(lengthM, next)
        }}
        hint="half-way between high and low water, where it is strongest"
      />
    </>
  )
}

function AssumedNote({ mark, strongest }: { mark: Mark; strongest: number }) {
  const show = useShow()
  return (
    <p role="status" className="text-sm text-watch">
      Assumed: up to {show.computed('speed', strongest)}
      {hasTide(mark) ? ', half that at neaps, slack at high and low water.' : ' at any hour.'}
    </p>
  )
}
