/** Counts screws or films, one press each. */
export function Counter({
  count,
  of,
  open,
  onChange,
  big,
}: {
  count: number
  of: number
  /** Any number from one on will do; `of` is what it usually takes. */
  open?: boolean
  onChange: (n: number) => void
  big?: boolean
}) {
  const size = big ? 'min-h-14 min-w-14 text-[30px]' : 'min-h-11 min-w-11 text-[22px]'
  return (
    <span className="flex items-center rounded-[3px] bg-line-button text-on-line" role="group" aria-label="Count">
      <button type="button" aria-label="One less" className={size} onClick={() => onChange(count - 1)}>
        −
      </button>
      <span
        className={`num px-1 text-center font-semibold ${big ? 'min-w-28 text-[34px]' : 'min-w-16 text-[20px]'} ${(open ? count > 0 : count === of) ? '' : 'text-line-amber'}`}
      >
        {open ? `${count}, often ${of}` : `${count} of ${of}`}
      </span>
      <button type="button" aria-label="One more" className={size} onClick={() => onChange(count + 1)}>
        +
      </button>
    </span>
  )
}
