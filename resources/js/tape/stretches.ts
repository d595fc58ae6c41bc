import type { Channels, Reading, Stretch } from '@/lib/types'

export const nothing: Channels = { perceived: {}, meter: [] }

/** What holds at a moment in one channel; a stretch owns its beginning, not its end, but for the last. */
export function at<T extends { from: number; to: number }>(stretches: readonly T[], seconds: number): T | undefined {
    for (let i = stretches.length - 1; i >= 0; i--) {
        const s = stretches[i]!
        if (s.from <= seconds && (seconds < s.to || (i === stretches.length - 1 && seconds <= s.to))) return s
    }
    return undefined
}

export function readingAt(channels: Channels, seconds: number): Reading | undefined {
    return at(channels.meter, seconds)?.reading
}

/**
 * Until when the display is still on its way to another figure, with the leads where they were; undefined once it
 * stands.
 */
export function settlesAt(channels: Channels, seconds: number): number | undefined {
    const { meter } = channels
    let i = meter.findLastIndex((m) => m.from <= seconds)
    const shown = meter[i]
    if (!shown) return undefined
    const follows = (j: number) =>
        j > 0 && meter[j - 1]!.of === meter[j]!.of && meter[j - 1]!.to >= meter[j]!.from - 1e-6
    while (follows(i) && !jumps(meter[i - 1]!.reading, meter[i]!.reading)) i--
    if (!follows(i)) return undefined
    const stands = meter[i]!.from + (shown.settles_s ?? 0)
    return seconds < stands - 1e-6 ? stands : undefined
}

/** Whether a display takes its time from one figure to the other; from and to OL or LIVE it goes at once. */
function jumps(a: Reading, b: Reading): boolean {
    if (a.value === null || b.value === null || a.live || b.live) return false
    return Math.abs(a.value - b.value) > Math.max(0.05 * Math.max(Math.abs(a.value), Math.abs(b.value)), 3 * b.step)
}

/** Cuts what lies ahead at a moment and adds it to what is past; a stretch that goes on stays one. */
export function played(past: Channels, ahead: Channels, until: number): Channels {
    const perceived: Record<string, Stretch[]> = { ...past.perceived }
    for (const [channel, stretches] of Object.entries(ahead.perceived)) {
        const list = [...(perceived[channel] ?? [])]
        for (const s of stretches) {
            if (s.from > until) break
            const cut = { ...s, to: Math.min(s.to, until) }
            const last = list[list.length - 1]
            if (last && last.value === cut.value && cut.from <= last.to + 1e-6) {
                list[list.length - 1] = { ...last, to: Math.max(last.to, cut.to) }
            } else if (cut.to > cut.from || !last || last.value !== cut.value) {
                list.push(cut)
            }
        }
        perceived[channel] = list
    }
    const meter = [...past.meter]
    for (const m of ahead.meter) {
        if (m.from <= until) meter.push({ ...m, to: Math.min(m.to, until) })
    }
    return { perceived, meter }
}

/** The first moment after one at which anything perceived changes, within what is known. */
export function nextChange(channels: Channels, after: number): number | undefined {
    let first: number | undefined
    for (const stretches of Object.values(channels.perceived)) {
        for (const s of stretches) {
            if (s.from > after && (first === undefined || s.from < first)) first = s.from
        }
    }
    return first
}

/** Times of one that differ from the other by more than a second, with what was to be expected. */
export function differences(
    of: readonly Stretch[],
    against: readonly Stretch[],
): { from: number; to: number; say: string }[] {
    const edges = [...new Set([...of, ...against].flatMap((s) => [s.from, s.to]))].sort((a, b) => a - b)
    const found: { from: number; to: number; say: string }[] = []
    for (let i = 0; i + 1 < edges.length; i++) {
        const [from, to] = [edges[i]!, edges[i + 1]!]
        const middle = (from + to) / 2
        const [a, b] = [at(of, middle), at(against, middle)]
        if (a?.value === b?.value) continue
        const last = found[found.length - 1]
        const say = `${a?.say ?? 'not perceived'}; healthy: ${b?.say ?? 'not perceived'}`
        if (last && last.to === from && last.say === say) last.to = to
        else found.push({ from, to, say })
    }
    return found.filter((d) => d.to - d.from > 1)
}
