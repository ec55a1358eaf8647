import { useState } from 'react'
import { answer, http, told } from '../api/client'
import { useBench, useDrawerLines } from '../api/queries'
import { useNavigate } from '../app/router'
import { Button } from '../ui/Button'

/** A label held under the camera stand-in: what it reads leads where the label leads. */
export function LabelCamera() {
  const go = useNavigate()
  const [code, setCode] = useState('')
  const [fault, setFault] = useState<string>()
  const jobs = useBench().data?.jobs ?? []
  const lines = useDrawerLines().data?.filter((l) => l.code)
  const shoot = async () => {
    try {
      setFault(undefined)
      go((await answer(http.POST('/api/labels/shoot', { body: { code } }))).to)
    } catch (e) {
      setFault(told(e))
    }
  }
  return (
    <div className="mt-3 flex flex-wrap items-center gap-2">
      <select
        aria-label="Label under the camera"
        value={code}
        onChange={(e) => setCode(e.target.value)}
        className="min-w-0 flex-1 border border-rule bg-raised px-2 py-1.5"
      >
        <option value="">Which label</option>
        {jobs.map((j) => (
          <option key={j.id} value={`FB:job:${j.id}`}>
            Job {j.id}, {j.title}
          </option>
        ))}
        {lines?.map((l) => (
          <option key={l.code} value={l.code!}>
            {l.text}
          </option>
        ))}
      </select>
      <Button disabled={!code} onClick={() => void shoot()}>
        Hold it under the camera
      </Button>
      {fault && (
        <p role="alert" className="w-full text-plum">
          {fault}
        </p>
      )}
    </div>
  )
}
