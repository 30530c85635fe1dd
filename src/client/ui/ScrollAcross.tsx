import type { ReactNode, Ref } from 'react'

type Props = { label: string; className?: string; ref?: Ref<HTMLElement>; children: ReactNode }

/** A stretch of the page that may be wider than a narrow screen: it scrolls sideways, by keyboard too. */
export function ScrollAcross({ label, className = '', ref, children }: Props) {
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must take the focus
    <section ref={ref} tabIndex={0} aria-label={label} className={`overflow-x-auto ${className}`}>
      {children}
    </section>
  )
}
