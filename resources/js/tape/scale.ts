/** Seconds to pixels along the tape: a window of some width that ends a little after now. */
export interface Scale {
    from: number
    to: number
    x: (seconds: number) => number
    seconds: (x: number) => number
    ticks: number[]
}

const STEPS = [5, 10, 15, 30, 60, 120, 300, 600, 1800, 3600]

export function scale(now: number, span: number, left: number, width: number): Scale {
    const to = Math.max(now + span * 0.06, span)
    const from = to - span
    const most = Math.min(12, width / 44) // a label is some forty pixels wide
    const step = STEPS.find((s) => span / s <= most) ?? 7200
    const ticks: number[] = []
    for (let t = Math.max(0, Math.ceil(from / step) * step); t <= to; t += step) ticks.push(t)
    return {
        from,
        to,
        x: (seconds) => left + ((seconds - from) / span) * width,
        seconds: (x) => from + ((x - left) / width) * span,
        ticks,
    }
}

/** 75 → "1:15", 4000 → "1:06:40". */
export function clock(seconds: number): string {
    const s = Math.max(0, Math.floor(seconds))
    const two = (n: number) => String(n).padStart(2, '0')
    const h = Math.floor(s / 3600)
    const m = Math.floor((s % 3600) / 60)
    return h > 0 ? `${h}:${two(m)}:${two(s % 60)}` : `${m}:${two(s % 60)}`
}

/**
 * Which labels, each as wide as its text and centred, can stand without touching: of those that would, the later ones.
 */
export function standing(labels: { x: number; text: string }[], perLetter: number): boolean[] {
    const stand = labels.map(() => false)
    let edge = Infinity
    for (let i = labels.length - 1; i >= 0; i--) {
        const half = (labels[i]!.text.length * perLetter) / 2
        if (labels[i]!.x + half <= edge) {
            stand[i] = true
            edge = labels[i]!.x - half - perLetter
        }
    }
    return stand
}
