/** Marks of the mat's legend that several rooms share. */
export const landMark = (
  <span>
    <span className="mr-1 inline-block h-3 w-4 border-2 border-copper align-[-1px]" />
    land
  </span>
)

export const plateMark = (
  <span>
    <span className="mr-1 inline-block w-5 border-t-2 border-dashed border-copper align-[4px]" />
    block
  </span>
)
