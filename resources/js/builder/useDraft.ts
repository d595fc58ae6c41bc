import { router } from '@inertiajs/react'
import { useMutation, useMutationState, useQuery } from '@tanstack/react-query'
import { useCallback, useEffect, useRef, useState } from 'react'
import { isSignedOut, Refusal, send } from '@/lib/send'
import { isAway, once, useTold } from '@/lib/query'
import { useSettled } from '@/lib/useSettled'
import { t } from '@/words'
import type { Checked, Draft, Edit, EditReply, Presence } from './types'

/** Milliseconds after an edit until its checks are asked for: another may follow. */
const CHECKS_MS = 250

/** Milliseconds between one look at who else is here and the next. */
const LOOK_MS = 6000

const isWhole = (reply: EditReply): reply is Draft => 'whole' in reply

/**
 * A draft in hand: edits one after another upon the step that was seen, its checks after each, and who else is at it.
 * One that somebody lent to be looked at (his name) is not changed.
 */
export function useDraft(id: number, start: Draft, present: Presence, lentBy: string | null = null) {
    const [draft, setDraft] = useState(start)
    const [notice, setNotice] = useState<string | null>(null)
    const step = useRef(start.step)
    const isHere = useRef(true)
    useEffect(() => {
        isHere.current = true
        return () => {
            isHere.current = false
        }
    }, [])

    const take = useCallback((reply: EditReply) => {
        step.current = reply.step
        if (isWhole(reply)) {
            // the answer to what had been made already
            setDraft(reply)
            return
        }
        setDraft((d) => {
            const { told, order, changed, gone, ...rest } = reply
            const parts = inOrder(d.document.parts, told.parts, order.parts)
            const wires = inOrder(d.document.wires, told.wires, order.wires)
            return {
                ...rest,
                settings: { ...d.settings, ...reply.settings },
                document: { ...reply.document, parts, wires },
                board: {
                    ...reply.board,
                    parts: merged(d.board.parts, changed.parts, gone.parts, order.parts),
                    wires: merged(d.board.wires, changed.wires, gone.wires),
                },
            }
        })
    }, [])

    // one at a time, in the order in which they were asked for; each upon the step that has been reached by then
    const { mutateAsync } = useMutation<EditReply, Error, { path: string; body: () => Record<string, unknown> }>({
        mutationKey: ['draft', id],
        scope: { id: `draft ${id}` },
        mutationFn: ({ path, body }) => send('POST', `/drafts/${id}/${path}`, body()),
        onSuccess: (reply) => {
            take(reply)
            setNotice(null)
        },
        onError: (error) => {
            setNotice(
                error instanceof Refusal
                    ? error.message
                    : 'Something went wrong on this page. Load it again; every step is kept.',
            )
            const isStale = error instanceof Refusal && error.status === 409
            if (!isHere.current || !(isSignedOut(error) || isStale)) return undefined
            // what is done next waits for it: else it would be refused for the same reason
            return new Promise<void>((resolve) => {
                router.reload({
                    onSuccess: (page) => {
                        const fresh = (page.props as unknown as { start: Draft }).start
                        step.current = fresh.step
                        setDraft(fresh)
                    },
                    onFinish: () => resolve(),
                })
            })
        },
    })
    const ask = useCallback(
        (path: string, body: () => Record<string, unknown>) => {
            if (lentBy !== null) {
                setNotice(
                    t('This model is {{name}}’s, shared to be looked at. Copy it from a file to change it.', {
                        name: lentBy,
                    }),
                )
                return Promise.resolve(false)
            }
            return mutateAsync({ path, body: once(body) }).then(
                () => true,
                () => false,
            )
        },
        [mutateAsync, lentBy],
    )
    const away = useMutationState({
        filters: { mutationKey: ['draft', id], status: 'pending' },
        select: (m) => isAway(m.state.failureReason),
    }).includes(true)

    const edit = useCallback(
        (...edits: Edit[]) => {
            const id = crypto.randomUUID() // sent twice, when an answer was lost, it is made once
            return ask('edits', () => ({ id, upon: step.current, edits }))
        },
        [ask],
    )
    const go = useCallback((way: 'undo' | 'redo' | 'tidy') => ask('go', () => ({ upon: step.current, way })), [ask])
    const restore = useCallback((number: number) => ask('restore', () => ({ upon: step.current, number })), [ask])

    const checks = useTold<Checked>(`/drafts/${id}/checks`, { of: useSettled(draft.step, CHECKS_MS), keep: true })
    const checked = checks.data ?? null
    const told = useQuery<Presence>({
        queryKey: ['presence', id],
        queryFn: () => send('POST', `/drafts/${id}/presence`),
        refetchInterval: LOOK_MS,
        initialData: present,
        staleTime: LOOK_MS,
    })
    const presence = told.data

    const clear = useCallback(() => setNotice(null), [])
    const say = useCallback((text: string) => setNotice(text), [])
    return {
        draft,
        checked: checked?.step === draft.step ? checked : null,
        last: checked,
        presence,
        notice,
        away,
        edit,
        go,
        restore,
        clear,
        say,
        behind: presence.step > draft.step && presence.others.length > 0,
    }
}

/** What is named, in that order: as it is told now, or as it was. */
export function inOrder<T extends { id: string }>(before: T[], told: T[], order: string[]): T[] {
    const by = new Map([...before, ...told].map((x) => [x.id, x]))
    return order.flatMap((id) => by.get(id) ?? [])
}

/** A list with what has changed put in and what is gone left out; in the given order where there is one. */
export function merged<T extends { id: string }>(before: T[], changed: T[], gone: string[], order: string[] = []): T[] {
    const by = new Map(before.filter((x) => !gone.includes(x.id)).map((x) => [x.id, x]))
    for (const x of changed) by.set(x.id, x)
    const placed = order.flatMap((id) => by.get(id) ?? [])
    const seen = new Set(placed.map((x) => x.id))
    return [...placed, ...[...by.values()].filter((x) => !seen.has(x.id))]
}
