import { useQuery } from '@tanstack/react-query'
import { answer, http } from '../api/client'
import { Link } from '../app/router'

/** What was archived: out of every list, still there for the jobs that rest on it. */
export function ArchivedList() {
  const query = { query: { archived: true } }
  const boards = useQuery({
    queryKey: ['boards', 'archived'],
    queryFn: () => answer(http.GET('/api/boards', { params: query })),
  }).data
  const blocks = useQuery({
    queryKey: ['blocks', 'archived'],
    queryFn: () => answer(http.GET('/api/blocks', { params: query })),
  }).data
  const jobs = useQuery({ queryKey: ['bench', 'archived'], queryFn: () => answer(http.GET('/api/jobs/archived')) }).data
  const all = [
    ...(boards ?? []).map((b) => ({ to: `/library/boards/${b.id}`, name: `${b.maker} ${b.model}`, sub: b.label })),
    ...(blocks ?? []).map((b) => ({ to: `/library/blocks/${b.id}`, name: `${b.maker} ${b.model}`, sub: 'block' })),
    ...(jobs ?? []).map((j) => ({ to: `/job/${j.id}`, name: j.title, sub: `job ${j.id}` })),
  ]
  if (all.length === 0) return null
  return (
    <details className="border-t border-rule px-4 py-2">
      <summary className="cursor-pointer text-[13px] font-semibold text-soft">Archived, {all.length}</summary>
      {all.map((x) => (
        <Link key={x.to} to={x.to} className="block border-b border-rule/60 py-1.5 leading-tight">
          <b className="block">{x.name}</b>
          <span className="text-[13.5px] text-soft">{x.sub}</span>
        </Link>
      ))}
    </details>
  )
}
