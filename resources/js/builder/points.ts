/** "300,700 420,700" as points; what is no pair of figures is left out. */
export function points(text: string): [number, number][] {
    return text
        .trim()
        .split(/\s+/)
        .map((p) => p.split(',').map(Number))
        .filter((p): p is [number, number] => p.length === 2 && p.every(Number.isFinite))
}
