import { Tabs } from 'radix-ui'
import { memo, type ReactNode } from 'react'

const NAMES = { part: 'Part', conditions: 'Conditions', why: 'Why', findings: 'Findings' }
export type BenchSheet = keyof typeof NAMES

type Props = { shown: BenchSheet; onShow: (sheet: BenchSheet) => void; sheets: Record<BenchSheet, ReactNode> }

/** What is beside the reach: the chosen part, or one of the other sheets. It scrolls by itself, so that the reach stays in sight. */
export function BenchSide({ shown, onShow, sheets }: Props) {
  return (
    <Tabs.Root
      value={shown}
      onValueChange={(sheet) => onShow(sheet as BenchSheet)}
      className="bench-side grid grid-cols-[minmax(0,1fr)] gap-1"
    >
      <SheetTabs />
      <Tabs.Content value={shown} tabIndex={-1}>
        {sheets[shown]}
      </Tabs.Content>
    </Tabs.Root>
  )
}

/** The names of the sheets; they rest while a value is changed. */
const SheetTabs = memo(function SheetTabs() {
  return (
    <Tabs.List aria-label="Beside the reach" className="flex gap-1 text-sm">
      {(Object.keys(NAMES) as BenchSheet[]).map((sheet) => (
        <Tabs.Trigger
          key={sheet}
          value={sheet}
          className="min-h-8 rounded-md px-2 text-quiet hover:bg-sheet data-[state=active]:bg-sheet data-[state=active]:font-semibold data-[state=active]:text-ink"
        >
          {NAMES[sheet]}
        </Tabs.Trigger>
      ))}
    </Tabs.List>
  )
})
