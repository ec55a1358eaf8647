import { type ReactNode, useState } from 'react'
import { useSetup } from '../api/queries'
import { Finder } from './Finder'
import { HeaderSlot, HeaderSlotProvider } from './HeaderSlot'
import { KeysDialog } from './KeysDialog'
import { useKeys } from './keys'
import { NavLink, useNavigate } from './router'
import { SignDialog } from './SignDialog'
import { useInitials, useTheme } from './settings'

/** Header with the tie of the traveller, the places to go, who signs, and the light. */
export function Shell({ children }: { children: ReactNode }) {
  const [dialog, open] = useState<'keys' | 'find' | 'who' | null>(null)
  const [initials] = useInitials()
  const [theme, setTheme] = useTheme()
  const go = useNavigate()
  const demo = useSetup().data?.demo
  const close = () => open(null)
  useKeys({
    '?': () => open('keys'),
    'ctrl+k': () => open('find'),
    b: () => go('/'),
    l: () => go('/library'),
    d: () => go('/drawer'),
  })
  return (
    <HeaderSlotProvider>
      <div className="grid h-full grid-cols-[minmax(0,1fr)] grid-rows-[52px_minmax(0,1fr)]">
        <header className="no-print flex items-center gap-4 border-b border-rule bg-paper pr-4">
          <NavLink
            to="/"
            className="flex h-full shrink-0 items-center gap-3 pl-4 min-[1101px]:w-[207px]"
            aria-label="Faithful Bracket, to the benches"
          >
            <Tie />
            <span className="leading-tight max-[1100px]:hidden">
              <b className="block text-[17px]">Faithful Bracket</b>
              {demo && <span className="block text-[12px] text-soft">demo shop, made up</span>}
            </span>
          </NavLink>
          <div className="flex min-w-0 flex-1 items-center gap-4 overflow-hidden whitespace-nowrap">
            <HeaderSlot />
          </div>
          <nav className="flex items-center gap-3.5 text-[15px]" aria-label="Places">
            {/* narrow, the mark leads to the benches */}
            {[
              ['/', 'Benches'],
              ['/library', 'Library'],
              ['/drawer', 'Drawer'],
              ['/instruments', 'Instruments'],
              ['/settings', 'Settings'],
            ].map(([to, text]) => (
              <NavLink
                key={to}
                to={to}
                end={to === '/'}
                className={({ isActive }) => `${looks(isActive)} ${to === '/' ? 'max-[1000px]:hidden' : ''}`}
              >
                {text}
              </NavLink>
            ))}
          </nav>
          <button type="button" className="text-[14px] text-soft" onClick={() => open('find')}>
            Find <kbd className="num max-[1500px]:hidden">Ctrl K</kbd>
          </button>
          <button
            type="button"
            className="text-[14px] text-soft max-[1000px]:hidden"
            onClick={() => open('keys')}
            aria-label="Keys"
          >
            Keys <kbd className="num max-[1500px]:hidden">?</kbd>
          </button>
          <button
            type="button"
            className="text-[14px] text-soft"
            onClick={() => setTheme(theme === 'night' ? 'paper' : 'night')}
          >
            {theme === 'night' ? 'Paper' : 'Night'}
          </button>
          <button
            type="button"
            className={`rounded-[3px] border px-3 py-1 ${initials ? 'border-rule bg-card' : 'border-2 border-copper bg-copper-wash'}`}
            onClick={() => open('who')}
            aria-label={initials ? `Signs as ${initials}, change` : 'Who signs here'}
          >
            {initials ? (
              <>
                signs <b className="ml-1">{initials}</b>
              </>
            ) : (
              <b>Who signs?</b>
            )}
          </button>
        </header>
        {children}
      </div>
      <KeysDialog open={dialog === 'keys'} onClose={close} />
      <Finder open={dialog === 'find'} onClose={close} />
      <SignDialog open={dialog === 'who'} onClose={close} />
    </HeaderSlotProvider>
  )
}

const looks = (active: boolean) => `border-b-3 ${active ? 'border-copper font-bold' : 'border-transparent text-soft'}`

/** The hole of the card with the wire it hangs by. */
function Tie() {
  return (
    <svg width="20" height="52" viewBox="0 0 20 52" aria-hidden>
      <path d="M10 0V17" stroke="var(--copper)" strokeWidth="3" />
      <circle cx="10" cy="26" r="8" fill="none" stroke="var(--copper)" strokeWidth="3.4" />
    </svg>
  )
}
