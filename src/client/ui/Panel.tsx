import { Dialog } from 'radix-ui'
import { type ReactNode, useRef } from 'react'

type Props = {
  title: string
  about: ReactNode
  children: ReactNode
  open?: boolean
  onOpenChange?: (open: boolean) => void
  trigger?: ReactNode
}

/** A dialog over the page: its title, a sentence, and what is to be done. Escape closes it. */
export function Panel({ title, about, children, open, onOpenChange, trigger }: Props) {
  return (
    <Dialog.Root {...(open === undefined ? {} : { open })} {...(onOpenChange ? { onOpenChange } : {})}>
      {trigger && <Dialog.Trigger asChild>{trigger}</Dialog.Trigger>}
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-20 bg-black/50" />
        <Dialog.Content
          className="fixed top-1/2 left-1/2 z-30 max-h-[90vh] w-[min(36rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-auto rounded-lg border border-rule bg-sheet p-5 text-ink"
          {...useKeyboardPlace()}
        >
          <Dialog.Title className="text-lg font-semibold">{title}</Dialog.Title>
          <Dialog.Description className="mt-1 text-quiet">{about}</Dialog.Description>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

/**
 * Puts the keyboard on the element marked `data-focus-first`, where there is one, and gives it back on closing to whatever had
 * it: a dialog opened by a key has no button to return to.
 */
function useKeyboardPlace() {
  const before = useRef<Element | null>(null)
  return {
    onOpenAutoFocus: (event: Event) => {
      before.current = document.activeElement
      const marked = (event.currentTarget as HTMLElement).querySelector<HTMLElement>('[data-focus-first]')
      if (!marked) return
      event.preventDefault()
      marked.focus()
    },
    onCloseAutoFocus: (event: Event) => {
      if (!(before.current instanceof HTMLElement || before.current instanceof SVGElement)) return
      event.preventDefault()
      before.current.focus()
    },
  }
}
