/** What was typed as a figure, with a comma or a point. */
export const figureOf = (text: string) => Number(text.replace(',', '.'))

export const figureLook = 'num mt-0.5 block w-full border border-rule bg-raised px-2 py-1 text-[16px] text-ink'

/** A figure that somebody types, under its name. */
export const FigureField = (p: {
  label: string
  value: string
  onChange: (text: string) => void
  narrow?: boolean
}) => (
  <label className="block text-[13px] text-soft">
    {p.label}
    <input
      value={p.value}
      inputMode="decimal"
      onChange={(e) => p.onChange(e.target.value)}
      className={`${figureLook} ${p.narrow ? '!w-24' : ''}`}
    />
  </label>
)
