import { useRef } from 'react'
import type { Face } from '../api/client'
import { Button } from '../ui/Button'
import type { Steps } from './useSteps'

/** Takes a picture of the step; where a part is chosen, of that part. */
export function PhotoButton({
  s,
  pinned,
  big,
}: {
  s: Steps
  pinned?: { id: string; x: number; y: number; face: Face }
  big?: boolean
}) {
  const file = useRef<HTMLInputElement>(null)
  const open = () => file.current?.click()
  const label = pinned ? `Add a photo of ${pinned.id}` : 'Add a photo'
  return (
    <>
      {big ? (
        <button
          type="button"
          aria-label={label}
          onClick={open}
          className="min-h-14 border-[3px] border-copper px-5 text-[24px] font-semibold"
        >
          Camera
        </button>
      ) : (
        <Button kind="line" onClick={open} aria-label={label}>
          {pinned ? `Photo of ${pinned.id}` : 'Photo'}
        </Button>
      )}
      <input
        ref={file}
        type="file"
        accept="image/jpeg,image/png"
        capture={big ? 'environment' : undefined}
        className="hidden"
        tabIndex={-1}
        aria-label="Photo file"
        onChange={(e) => {
          const f = e.target.files?.[0]
          e.target.value = ''
          if (f && s.step)
            s.changes.photo.mutate(
              {
                by: s.by,
                stepId: s.step.id,
                file: f,
                place: pinned && { x: pinned.x, y: pinned.y, face: pinned.face },
              },
              { onError: s.refuse },
            )
        }}
      />
    </>
  )
}
