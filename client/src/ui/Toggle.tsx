import type { ButtonHTMLAttributes } from 'react'

/** A button that stays pressed: one answer among few. */
export function Toggle({ on, children, ...rest }: ButtonHTMLAttributes<HTMLButtonElement> & { on: boolean }) {
  const look = on ? 'border-copper bg-copper-wash font-semibold' : 'border-rule bg-raised'
  return (
    <button type="button" aria-pressed={on} className={`min-h-10 rounded-[3px] border px-3 ${look}`} {...rest}>
      {children}
    </button>
  )
}
