/**
 * Shares as whole per cent that add up to what they come to together: each is cut, and what is missing goes to those
 * that lost most by it.
 */
export function percents(shares: readonly number[]): number[] {
    const exact = shares.map((s) => 100 * s)
    const cut = exact.map(Math.floor)
    let missing = Math.round(exact.reduce((a, b) => a + b, 0)) - cut.reduce((a, b) => a + b, 0)
    const byLoss = exact.map((x, i) => [x - Math.floor(x), i] as const).sort((a, b) => b[0] - a[0])
    for (const [, i] of byLoss) {
        if (missing <= 0) break
        cut[i] = (cut[i] ?? 0) + 1
        missing--
    }
    return cut
}
