import type { AnchorHTMLAttributes } from 'react'
import { Link, useLocation } from 'wouter'
import { useHistoryState } from 'wouter/use-browser-location'

export { Link, Redirect, Route, Switch, useLocation, useParams } from 'wouter'

/** Goes to another page of the application. */
export const useNavigate = () => useLocation()[1]

/** What the page before handed over; null for nothing. */
export const useHandedOver = <T,>() => useHistoryState<T | null>()

type Props = Omit<AnchorHTMLAttributes<HTMLAnchorElement>, 'className' | 'href'> & {
  to: string
  /** Whether only the page itself counts, not what lies below it. */
  end?: boolean
  className?: string | ((at: { isActive: boolean }) => string)
}

/** A link that knows whether its page, or one below it, is shown. */
export function NavLink({ to, end, className, ...rest }: Props) {
  const [path] = useLocation()
  const isActive = path === to || (!end && path.startsWith(`${to}/`))
  return (
    <Link
      to={to}
      aria-current={isActive ? 'page' : undefined}
      {...rest}
      className={typeof className === 'function' ? className({ isActive }) : className}
    />
  )
}
