import { X } from 'lucide-react'
import { useState } from 'react'
import { MAX_PACKING, type Trip } from '../../../core/documents/trip.ts'
import { Button, fieldClass, Sheet } from '../../ui/controls.tsx'

type Props = { packing: Trip['packing']; onChange: (packing: Trip['packing']) => void }

/** What goes along, to be ticked off. */
export function Packing({ packing, onChange }: Props) {
  const [typed, setTyped] = useState('')
  const add = () => {
    const text = typed.trim()
    if (text === '' || packing.length >= MAX_PACKING) return
    onChange([...packing, { text, isPacked: false }])
    setTyped('')
  }
  const done = packing.filter(({ isPacked }) => isPacked).length
  return (
    <Sheet
      title="Packing list"
      aside={packing.length > 0 && <span className="text-sm text-quiet">{`${done} of ${packing.length}`}</span>}
    >
      <ul>
        {packing.map((item, i) => (
          <li key={`${i} ${item.text}`} className="flex items-center gap-2">
            <label className="flex min-h-11 flex-1 items-center gap-2" translate="no">
              <input
                type="checkbox"
                className="size-6"
                checked={item.isPacked}
                onChange={({ target }) => onChange(packing.with(i, { ...item, isPacked: target.checked }))}
              />
              {item.text}
            </label>
            <Button
              tone="quiet"
              aria-label={`Take ${item.text} off the list`}
              onClick={() => onChange(packing.filter((_, at) => at !== i))}
            >
              <X className="size-4" aria-hidden="true" />
            </Button>
          </li>
        ))}
      </ul>
      <div className="mt-1 flex gap-2">
        <input
          className={fieldClass}
          aria-label="to pack"
          placeholder="headlamp, pliers, life jacket"
          value={typed}
          maxLength={80}
          onChange={({ target }) => setTyped(target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return
            event.preventDefault()
            add()
          }}
        />
        <Button disabled={typed.trim() === ''} onClick={add}>
          Add
        </Button>
      </div>
    </Sheet>
  )
}
