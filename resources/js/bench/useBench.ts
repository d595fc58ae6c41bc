import { router } from '@inertiajs/react'
import { kept, settled } from './queue'
import { useMutation, useMutationState, useQueryClient } from '@tanstack/react-query'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { DoAct } from '@/lib/acts'
import { isAway, once, useTold } from '@/lib/query'
import { isSignedOut, Refusal, send } from '@/lib/send'
import type { Channels, Entry, Reply, Scene } from '@/lib/types'
import { nextChange, played, settlesAt } from '@/tape/stretches'
import { forget, recall, remember } from './waiting'

/** Seconds before the end of what is known at which more is asked for: later where answers come soon. */
const ASK_AHEAD = { least: 0.5, most: 1.2, trips: 3 }

/** Milliseconds between one look whether a hint has come and the next. */
const HINT_MS = 900

interface Start {
    attempt: number
    log: Entry[]
    past: Channels
    told: string | null
    now: Reply
    /** somebody else's bench, that is looked at: nothing is done there */
    onlyLooked: boolean
}

export interface BenchState {
    time: number
    playing: boolean
    speed: number
    scene: Scene
    log: Entry[]
    past: Channels
    ahead: Channels
    /** steps of a warm-up that have been done */
    tried: string[]
    notice: { text: string; danger: boolean } | null
}

/** What the bench page has in hand. */
export type Bench = ReturnType<typeof useBench>

/**
 * An attempt at the bench: plays what the server said lies ahead, tells it what was played, and does
 * one act at a time. Every act carries an id of its own, so that one sent twice is done once.
 */
export function useBench(start: Start) {
    const [state, setState] = useState<BenchState>(() => ({
        time: start.now.now_s,
        playing: false,
        speed: 1,
        scene: start.now.scene,
        log: start.log,
        past: start.past,
        ahead: start.now.ahead,
        tried: start.now.tried ?? [],
        notice: start.told === null ? null : { text: start.told, danger: false },
    }))
    const live = useRef({
        time: start.now.now_s,
        until: start.now.until_s,
        playing: false,
        speed: 1,
        past: start.past,
        ahead: start.now.ahead,
        asking: 0,
        /** how long an answer takes by now, s */
        trip: ASK_AHEAD.most / ASK_AHEAD.trips,
    })
    const isHere = useRef(true)

    const url = `/attempts/${start.attempt}`
    const client = useQueryClient()

    const take = useCallback(
        (reply: Reply) => {
            const l = live.current
            l.past = played(l.past, reply.passed, reply.now_s)
            l.ahead = reply.ahead
            l.until = reply.until_s
            l.time = Math.max(reply.now_s, Math.min(l.time, reply.until_s))
            setState((s) => ({
                ...s,
                time: l.time,
                scene: kept(s.scene, reply.scene),
                tried: kept(s.tried, reply.tried ?? s.tried),
                past: l.past,
                ahead: l.ahead,
                log: reply.entry && !s.log.some((e) => e.id === reply.entry!.id) ? [...s.log, reply.entry] : s.log,
            }))
            if (reply.handed_back && isHere.current) router.visit(`${url}/debrief`)
        },
        [url],
    )

    const fail = useCallback(
        (error: unknown) => {
            const refusal =
                error instanceof Refusal
                    ? error
                    : new Refusal('Something went wrong on this page. Load it again; the bench is kept.', 0)
            live.current.playing = false
            setState((s) => ({ ...s, playing: false, notice: { text: refusal.message, danger: false } }))
            // out of step: look again; signed out: by way of the sign-in back to here
            if (isHere.current && [401, 409, 419].includes(refusal.status))
                router.visit(url, { preserveScroll: true, replace: true })
        },
        [url],
    )

    // one after the other, in the order in which they were asked for, each at the moment that has been reached by then
    const { mutateAsync } = useMutation<Reply, Error, { path: string; body: () => unknown }>({
        mutationKey: ['attempt', start.attempt],
        scope: { id: `attempt ${start.attempt}` },
        mutationFn: async ({ path, body }) => {
            const begun = performance.now()
            const reply = await send<Reply>('POST', `${url}/${path}`, body())
            live.current.trip = 0.7 * live.current.trip + (0.3 * (performance.now() - begun)) / 1000
            return reply
        },
        onSuccess: (reply, { path }) => {
            if (path === 'acts') forget(start.attempt)
            take(reply)
        },
        onError: (error, { path }) => {
            if (path === 'acts' && !isSignedOut(error)) forget(start.attempt)
            fail(error)
        },
    })
    const underway = useMutationState({
        filters: { mutationKey: ['attempt', start.attempt], status: 'pending' },
        select: (m) => isAway(m.state.failureReason),
    })
    const away = underway.includes(true)
    useEffect(() => {
        if (!away) return
        live.current.playing = false
        setState((s) => ({ ...s, playing: false }))
    }, [away])
    const ask = useCallback(
        async (path: string, body: () => unknown) => {
            if (start.onlyLooked) return undefined
            live.current.asking++
            try {
                return await mutateAsync({ path, body: once(body) })
            } catch {
                return undefined // it was said
            } finally {
                live.current.asking--
            }
        },
        [mutateAsync, start.onlyLooked],
    )

    // an act that was on its way when the page was left is done now: under its own id, so once
    useEffect(() => {
        isHere.current = true
        const left = start.onlyLooked ? null : recall(start.attempt)
        if (left) void ask('acts', () => left)
        return () => {
            isHere.current = false
        }
    }, [ask, start.attempt, start.onlyLooked])

    useEffect(() => {
        let frame = 0
        let before = performance.now()
        let shown = 0
        const step = (t: number) => {
            const l = live.current
            const wall = Math.min(0.25, (t - before) / 1000)
            before = t
            if (l.playing) {
                l.time = Math.min(l.until, l.time + wall * l.speed)
                const ahead = Math.min(ASK_AHEAD.most, Math.max(ASK_AHEAD.least, ASK_AHEAD.trips * l.trip))
                if (l.until - l.time < ahead * l.speed && l.asking === 0)
                    void ask('play', () => ({ to_s: Number(l.time.toFixed(3)) }))
                if (t - shown > 90) {
                    shown = t
                    setState((s) => ({ ...s, time: l.time }))
                }
            }
            frame = requestAnimationFrame(step)
        }
        frame = requestAnimationFrame(step)
        return () => cancelAnimationFrame(frame)
    }, [ask])

    const act = useCallback<DoAct>(
        async (name, ...[fields]) => {
            const reply = await ask('acts', () => {
                const body = {
                    id: crypto.randomUUID(),
                    act: name,
                    at_s: Number(live.current.time.toFixed(3)),
                    ...fields,
                }
                remember(start.attempt, body)
                return body
            })
            const entry = reply?.entry ?? undefined
            if (entry) {
                const danger = Object.values(entry.dangers)[0]
                const hint =
                    entry.act.act === 'hint'
                        ? entry.waits
                            ? 'Working on your hint. You can keep going.'
                            : (entry.seen as Record<string, string>)['hint']
                        : undefined
                setState((s) => ({
                    ...s,
                    notice:
                        hint !== undefined
                            ? { text: hint, danger: false }
                            : entry.refused
                              ? { text: entry.refused, danger: false }
                              : danger
                                ? { text: danger, danger: true }
                                : null,
                }))
            }
            return entry
        },
        [ask, start.attempt],
    )

    // hints that are being worked out are asked for until they have come
    const waited = state.log.find((e) => e.waits)?.id
    const hint = useTold<{ entry: Entry; error: string | null }>(
        `${url}/waiting?of=${encodeURIComponent(waited ?? '')}`,
        {
            every: HINT_MS,
            enabled: waited !== undefined,
            isOver: ({ entry, error }) => !entry.waits || error !== null,
        },
    ).data
    useEffect(() => {
        if (!hint || (hint.entry.waits && hint.error === null)) return
        const text = hint.error ?? (hint.entry.seen as Record<string, string>)['hint'] ?? ''
        setState((s) => ({
            ...s,
            log: s.log.map((e) => (e.id === hint.entry.id ? { ...hint.entry, waits: false } : e)),
            notice: { text, danger: false },
        }))
    }, [hint])

    const onlyLooked = start.onlyLooked
    const play = useCallback(
        (on: boolean) => {
            if (onlyLooked && on) return
            live.current.playing = on
            setState((s) => ({ ...s, playing: on, time: live.current.time }))
        },
        [onlyLooked],
    )

    const setSpeed = useCallback((speed: number) => {
        live.current.speed = speed
        setState((s) => ({ ...s, speed }))
    }, [])

    /**
     * Next event, and till a meter that moves has come to rest: within what is known at once, else by
     * asking.
     */
    const next = useCallback(async () => {
        const l = live.current
        while (l.asking > 0) await settled(client, start.attempt) // a key that comes early is not lost
        const change = nextChange(l.ahead, l.time + 0.05)
        if (change !== undefined && change <= l.until) {
            l.time = change
            setState((s) => ({ ...s, time: change }))
            await ask('play', () => ({ to_s: Number(change.toFixed(3)) }))
        } else {
            await ask('next', () => ({}))
        }
        // whoever is on to what happens next reads the meter when it stands
        const stands = settlesAt(played(l.past, l.ahead, l.time), l.time)
        if (stands !== undefined && stands <= l.until) {
            l.time = stands
            setState((s) => ({ ...s, time: stands }))
        }
    }, [ask, client, start.attempt])

    const clear = useCallback(() => setState((s) => ({ ...s, notice: null })), [])

    return {
        ...state,
        busy: underway.length > 0,
        away,
        seen: played(state.past, state.ahead, state.time),
        act,
        play,
        setSpeed,
        next,
        clear,
    }
}
