import { createContext, type ReactNode, useContext, useState } from 'react'
import { createPortal } from 'react-dom'

const Slot = createContext<[HTMLElement | null, (e: HTMLElement | null) => void]>([null, () => {}])

export const HeaderSlotProvider = ({ children }: { children: ReactNode }) => (
  <Slot.Provider value={useState<HTMLElement | null>(null)}>{children}</Slot.Provider>
)

/** Where a page may put its own words in the header. */
export const HeaderSlot = () => <span ref={useContext(Slot)[1]} className="flex min-w-0 flex-1 items-center gap-4" />

export function InHeader({ children }: { children: ReactNode }) {
  const [element] = useContext(Slot)
  return element && createPortal(children, element)
}
