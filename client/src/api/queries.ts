import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect } from 'react'
import { answer, http, ifMatch, type JobView, type Schemas } from './client'
import { sendNote, sendPhoto, sendReading, startTimer, stopTimer } from './papers'
import { timed } from './shopClock'

/** What a new shop still has to do, and whether this is the made-up one. */
export const useSetup = () =>
  useQuery({ queryKey: ['boards', 'setup'], queryFn: () => answer(http.GET('/api/setup')), staleTime: 5_000 })

export const useBench = () =>
  useQuery({ queryKey: ['bench'], queryFn: () => timed(() => http.GET('/api/bench')), refetchInterval: 20_000 })
export const useComparison = (id: string, blocks: string[]) =>
  useQuery({
    queryKey: ['compare', id, ...blocks],
    queryFn: () =>
      answer(http.GET('/api/boards/{id}/compare', { params: { path: { id }, query: { blocks: blocks.join(',') } } })),
  })
export const usePlanB = (id: string) =>
  useQuery({
    queryKey: ['plan-b', id],
    queryFn: () => answer(http.GET('/api/boards/{id}/plan-b', { params: { path: { id } } })),
  })
/** What a list of the library shows: the first so many that hold all the words typed. */
const listed = 200
export const useBoards = (text = '') =>
  useQuery({
    queryKey: ['boards', text],
    placeholderData: keepPreviousData,
    queryFn: () => answer(http.GET('/api/boards', { params: { query: { text, most: listed } } })),
  })
export const useBlocks = (text = '') =>
  useQuery({
    queryKey: ['blocks', text],
    placeholderData: keepPreviousData,
    queryFn: () => answer(http.GET('/api/blocks', { params: { query: { text, most: listed } } })),
  })
export const useCards = (enabled = true) =>
  useQuery({ queryKey: ['cards'], enabled, queryFn: () => answer(http.GET('/api/cards')) })
export const useSockets = (enabled = true) =>
  useQuery({ queryKey: ['sockets'], enabled, queryFn: () => answer(http.GET('/api/sockets')) })
export const useMachines = (enabled = true) =>
  useQuery({ queryKey: ['machines'], enabled, queryFn: () => answer(http.GET('/api/machines')) })
export const useMachine = (id: string) =>
  useQuery({
    queryKey: ['machine', id],
    queryFn: () => answer(http.GET('/api/machines/{id}/stand', { params: { path: { id } } })),
  })
/** Blocks that go on the whole board together. */
export const useTogether = (job: JobView, wanted: boolean) =>
  useQuery({
    queryKey: ['together', job.id, job.version],
    enabled: wanted,
    placeholderData: keepPreviousData,
    queryFn: () => answer(http.GET('/api/jobs/{id}/together', { params: { path: { id: job.id } } })),
  })
export const useUnread = () =>
  useQuery({ queryKey: ['unread'], queryFn: () => answer(http.GET('/api/library/unread')) })
export const useCard = (id: string) =>
  useQuery({
    queryKey: ['card', id],
    queryFn: () => answer(http.GET('/api/cards/{id}', { params: { path: { id } } })),
  })
export const useCardBlocks = (id: string) =>
  useQuery({
    queryKey: ['card-blocks', id],
    queryFn: () => answer(http.GET('/api/cards/{id}/blocks', { params: { path: { id } } })),
  })
export const useBoard = (id?: string) =>
  useQuery({
    queryKey: ['board', id],
    enabled: !!id,
    queryFn: () => answer(http.GET('/api/boards/{id}', { params: { path: { id: id! } } })),
  })
export const useBlock = (id?: string) =>
  useQuery({
    queryKey: ['block', id],
    enabled: !!id,
    queryFn: () => answer(http.GET('/api/blocks/{id}', { params: { path: { id: id! } } })),
  })
export const useBlocksFor = (boardId?: string) =>
  useQuery({
    queryKey: ['match', 'board', boardId],
    enabled: !!boardId,
    queryFn: () => answer(http.GET('/api/boards/{id}/blocks', { params: { path: { id: boardId! } } })),
  })
/** Processors of the library that sit in a socket. */
export const useProcessors = (socket?: string | null) =>
  useQuery({
    queryKey: ['socket-ways', socket],
    enabled: !!socket,
    queryFn: () => answer(http.GET('/api/sockets/{id}/ways', { params: { path: { id: socket! } } })),
  }).data?.processors ?? []
export const useSeatBlocks = (job: JobView | undefined, board: string) =>
  useQuery({
    queryKey: ['seat-blocks', job?.id, job?.version, board],
    enabled: !!job,
    placeholderData: keepPreviousData,
    queryFn: () =>
      answer(http.GET('/api/jobs/{id}/seat-blocks', { params: { path: { id: job!.id }, query: { board } } })),
  })
export const useBoardsFor = (blockId?: string) =>
  useQuery({
    queryKey: ['match', 'block', blockId],
    enabled: !!blockId,
    queryFn: () => answer(http.GET('/api/blocks/{id}/boards', { params: { path: { id: blockId! } } })),
  })
export const useMatch = (boardId?: string, blockId?: string) =>
  useQuery({
    queryKey: ['match', boardId, blockId],
    enabled: !!boardId && !!blockId,
    queryFn: () =>
      answer(
        http.GET('/api/match/{boardId}/{blockId}', { params: { path: { boardId: boardId!, blockId: blockId! } } }),
      ),
  })
export const useDrawer = () => useQuery({ queryKey: ['drawer'], queryFn: () => answer(http.GET('/api/drawer')) })
export const useDrawerLines = (enabled = true) =>
  useQuery({ queryKey: ['drawer', 'lines'], enabled, queryFn: () => answer(http.GET('/api/drawer/lines')) })
/** For which state of its shell a job was read anew: once for each, however many parts of the page show it. */
const asked = new Map<number, string>()

/** A job, whole. Only its shell is asked for again and again; the whole is read anew when that has changed. */
export function useJob(id: number) {
  const client = useQueryClient()
  const job = useQuery({
    queryKey: ['job', id],
    queryFn: () => timed(() => http.GET('/api/jobs/{id}', { params: { path: { id } } })),
  })
  const shell = useQuery({
    queryKey: ['shell', id],
    // also while the last reading of the job failed
    enabled: !!job.data,
    queryFn: () => answer(http.GET('/api/jobs/{id}/shell', { params: { path: { id } } })),
    refetchInterval: 10_000,
  })
  const [seen, held, looked] = [shell.data?.tag, job.data?.tag, shell.dataUpdatedAt]
  useEffect(() => {
    if (!looked || !seen || !held || seen === held || asked.get(id) === seen) return
    asked.set(id, seen)
    // where that does not arrive, the next look at the shell asks again
    void client.invalidateQueries({ queryKey: ['job', id] }).then(() => {
      if (client.getQueryState(['job', id])?.error) asked.delete(id)
    })
  }, [client, id, seen, held, looked])
  return job
}

/** Under which key and when something was first sent: sent again, it counts once. */
interface Sending {
  key?: string
  doneAt?: string
  deviceAt?: string
}

/** Changes that belong to one job; each loads the job again when it is done, refused or not. */
export function useJobChanges(job: JobView) {
  const client = useQueryClient()
  const again = {
    onSettled: () => {
      void client.invalidateQueries({ queryKey: ['bench'] })
      return client.invalidateQueries({ queryKey: ['job', job.id] })
    },
  }
  const version = (stepId: string) =>
    [...job.steps, ...job.wayBack, ...job.gone].find((s) => s.stepId === stepId)?.version ?? 0
  const path = { id: job.id }
  return {
    sign: useMutation({
      ...again,
      mutationFn: (v: { stepId: string; by: string; count?: number; overrideReason?: string } & Sending) =>
        answer(
          http.POST('/api/jobs/{id}/steps/{stepId}/sign', {
            params: { path: { ...path, stepId: v.stepId } },
            headers: ifMatch(version(v.stepId)),
            body: {
              by: v.by,
              count: v.count,
              overrideReason: v.overrideReason,
              key: v.key,
              doneAt: v.doneAt,
              deviceAt: v.deviceAt,
            },
          }),
        ),
    }),
    undo: useMutation({
      ...again,
      mutationFn: (v: { stepId: string; by: string; together: string[] } & Sending) =>
        answer(
          http.POST('/api/jobs/{id}/steps/{stepId}/undo', {
            params: { path: { ...path, stepId: v.stepId } },
            headers: ifMatch(version(v.stepId)),
            body: {
              by: v.by,
              with: v.together,
              withVersions: Object.fromEntries(v.together.map((id) => [id, version(id)])),
              key: v.key,
              doneAt: v.doneAt,
              deviceAt: v.deviceAt,
            },
          }),
        ),
    }),
    change: useMutation({
      ...again,
      mutationFn: (v: Partial<Schemas['JobChange']>) =>
        answer(
          http.PUT('/api/jobs/{id}', {
            params: { path },
            headers: ifMatch(job.version),
            body: {
              title: job.title,
              client: job.client,
              bench: job.bench,
              blockId: job.block?.id,
              pasteId: job.pasteId,
              padChoices: job.padChoices,
              ...v,
            },
          }),
        ),
    }),
    way: useMutation({
      ...again,
      mutationFn: (body: Schemas['WayChosen']) =>
        answer(
          http.PUT('/api/jobs/{id}/ways', {
            params: { path },
            headers: ifMatch(job.sheets.versions.ways ?? 0),
            body,
          }),
        ),
    }),
    asFound: useMutation({
      ...again,
      mutationFn: (body: Schemas['AsFoundChange']) =>
        answer(
          http.PUT('/api/jobs/{id}/as-found', {
            params: { path },
            headers: ifMatch(job.sheets.versions['as-found'] ?? 0),
            body,
          }),
        ),
    }),
    imprint: useMutation({
      ...again,
      mutationFn: (body: Schemas['ImprintChange']) =>
        answer(
          http.PUT('/api/jobs/{id}/imprint', {
            params: { path },
            headers: ifMatch(job.sheets.versions.imprint ?? 0),
            body,
          }),
        ),
    }),
    proof: useMutation({
      ...again,
      mutationFn: (body: Schemas['ProofChange']) =>
        answer(
          http.PUT('/api/jobs/{id}/proof', {
            params: { path },
            headers: ifMatch(job.sheets.versions.proof ?? 0),
            body,
          }),
        ),
    }),
    putAway: useMutation({
      onSettled: async () => {
        await again.onSettled()
        await client.invalidateQueries({ queryKey: ['drawer'] })
      },
      mutationFn: (v: { sheet: number; by: string }) =>
        answer(
          http.POST('/api/jobs/{id}/cutting/{sheet}/put-away', {
            params: { path: { ...path, sheet: v.sheet } },
            body: { by: v.by },
          }),
        ),
    }),
    read: useMutation({
      ...again,
      mutationFn: (body: Schemas['NewReading']) => sendReading(job.id, body),
    }),
    strike: useMutation({
      ...again,
      mutationFn: (v: { readingId: number; by: string }) =>
        answer(
          http.DELETE('/api/jobs/{id}/readings/{readingId}', {
            params: { path: { ...path, readingId: v.readingId }, query: { by: v.by || undefined } },
          }),
        ),
    }),
    archive: useMutation({
      ...again,
      mutationFn: (archived: boolean) =>
        answer(http.PUT('/api/jobs/{id}/archived', { params: { path }, body: { archived } })),
    }),
    correct: useMutation({
      ...again,
      mutationFn: (body: Schemas['NewCorrection']) =>
        answer(http.POST('/api/jobs/{id}/corrections', { params: { path }, body })),
    }),
    note: useMutation({
      ...again,
      mutationFn: (body: Schemas['NewNote']) => sendNote(job.id, body),
    }),
    startTimer: useMutation({
      ...again,
      mutationFn: (v: { stepId: string; by: string }) => {
        const step = job.stations.flatMap((s) => s.steps).find((x) => x.id === v.stepId)
        return startTimer(job.id, v.by, v.stepId, step?.title ?? v.stepId, step?.timerS)
      },
    }),
    stopTimer: useMutation({
      ...again,
      mutationFn: (timerId: number) => stopTimer(job.id, timerId),
    }),
    photo: useMutation({
      ...again,
      mutationFn: (v: Parameters<typeof sendPhoto>[1]) => sendPhoto(job.id, v),
    }),
  }
}
export type JobChanges = ReturnType<typeof useJobChanges>

/** Drivers, threads, latches and bonds that the trade meets. */
export const useTradeWords = () =>
  useQuery({ queryKey: ['trade-words'], queryFn: () => answer(http.GET('/api/trade-words')), staleTime: Infinity })
