import type { ButtonHTMLAttributes } from 'react'

type Kind = 'go' | 'plain' | 'quiet' | 'line' | 'go-line'
const looks: Record<Kind, string> = {
  go: 'bg-copper text-on-copper font-bold',
  plain: 'bg-raised text-ink border border-rule',
  quiet: 'text-copper underline underline-offset-3 decoration-1',
  line: 'bg-line-button text-on-line',
  'go-line': 'bg-copper text-on-copper font-bold text-[17px]',
}

export function Button({
  kind = 'plain',
  keyName,
  className = '',
  children,
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { kind?: Kind; keyName?: string }) {
  const size =
    kind === 'quiet' ? '' : kind === 'line' || kind === 'go-line' ? 'px-4 py-2.5 min-h-11' : 'px-3 py-1.5 min-h-9'
  return (
    <button type="button" className={`rounded-[3px] whitespace-nowrap ${size} ${looks[kind]} ${className}`} {...rest}>
      {children}
      {keyName && <kbd className="num ml-2 text-[13px] font-normal">{keyName}</kbd>}
    </button>
  )
}
