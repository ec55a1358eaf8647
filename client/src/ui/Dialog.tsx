import { Dialog as Radix } from 'radix-ui'
import type { ReactNode } from 'react'

/** A sheet laid over the bench. */
export function Dialog({
  open,
  onClose,
  title,
  children,
  wide,
}: {
  open: boolean
  onClose: () => void
  title: string
  children: ReactNode
  wide?: boolean
}) {
  return (
    <Radix.Root open={open} onOpenChange={(o) => !o && onClose()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <Radix.Content
          aria-describedby={undefined}
          className={`fixed left-1/2 top-[12vh] z-50 max-h-[76vh] w-[min(92vw,${wide ? '760px' : '520px'})] -translate-x-1/2 overflow-auto border-t-4 border-copper bg-card p-5 text-ink shadow-xl`}
          style={{ width: wide ? 'min(92vw, 760px)' : 'min(92vw, 520px)' }}
        >
          <Radix.Title className="mb-3 text-[20px] font-bold">{title}</Radix.Title>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  )
}
