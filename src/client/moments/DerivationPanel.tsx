import { Copy, Sigma } from 'lucide-react'
import { useMemo, useState } from 'react'
import { derivationOf } from '../../core/analysis/derivation.ts'
import type { MomentName } from '../../core/moments/moments.ts'
import type { Setup } from '../../core/setup/setup.ts'
import { spoken } from '../regional/spoken.ts'
import { useShow } from '../settings/preferences.tsx'
import { Button } from '../ui/controls.tsx'
import { copyText } from '../ui/copyText.ts'
import { Panel } from '../ui/Panel.tsx'
import { derivationText, type StepWords, stepWords } from '../words/derivationWords.ts'
import { momentName } from '../words/momentNames.ts'
import { nameWithPulls } from '../words/names.ts'

/** Every calculation behind a verdict: formula, inputs with where each came from, source and range; to be read or copied. */
export function DerivationPanel({ setup, moment }: { setup: Setup; moment: MomentName }) {
  const [open, setOpen] = useState(false)
  return (
    <Panel
      open={open}
      onOpenChange={setOpen}
      title={`How ${momentName(moment)} is calculated`}
      about="Each step with its inputs and their sources. All results are estimates."
      trigger={
        <Button tone="quiet" className="min-h-7! px-2! text-sm">
          <Sigma className="size-4" /> How it is calculated
        </Button>
      }
    >
      {open && <Steps setup={setup} moment={moment} />}
    </Panel>
  )
}

function Steps({ setup, moment }: { setup: Setup; moment: MomentName }) {
  const show = useShow()
  const steps = useMemo(() => {
    const nameOf = (key: string) => nameWithPulls(setup, key)
    return derivationOf(setup, moment).map((step) => stepWords(step, show, nameOf))
  }, [setup, moment, show])
  return (
    <div className="mt-3 grid gap-4">
      <Button className="justify-self-end" onClick={() => copyText(spoken(derivationText(steps)))}>
        <Copy className="size-4" /> Copy as text
      </Button>
      {steps.map((step) => (
        <StepView key={`${step.title} ${step.given.join()}`} step={step} />
      ))}
    </div>
  )
}

function StepView({ step: { title, formula, given, gives, source, valid } }: { step: StepWords }) {
  return (
    <section aria-label={title} className="border-t border-rule pt-2">
      <h3 className="font-semibold">{title}</h3>
      {formula.map((line) => (
        <p key={line} className="rounded-sm bg-well px-2 py-0.5 text-sm">
          {line}
        </p>
      ))}
      <div className="mt-1 grid gap-x-4 text-sm sm:grid-cols-2">
        <Rows name="given" rows={given} />
        <Rows name="gives" rows={gives} />
      </div>
      <p className="mt-1 text-sm text-quiet">
        Source: {source}. Valid: {valid}.
      </p>
    </section>
  )
}

function Rows({ name, rows }: { name: string; rows: string[] }) {
  return (
    <div>
      <p className="text-quiet">{name}</p>
      <ul>
        {rows.map((row) => (
          <li key={row}>{row}</li>
        ))}
      </ul>
    </div>
  )
}
