import type { Look } from '@/shell/look'

/** Sources: inch of water 249.0889 Pa and psi 6894.757 Pa, NIST SP 811 appendix B. */
const TO_METRIC: [RegExp, (n: number) => string][] = [
    [/(-?\d+(?:\.\d+)?)( to )(-?\d+(?:\.\d+)?) °F/g, () => ''],
    [/(-?\d+(?:\.\d+)?) °F/g, (n) => `${round((n - 32) / 1.8)} °C`],
    [/(-?\d+(?:\.\d+)?) in\. w\.c\./g, (n) => `${Math.round(n * 249.0889)} Pa`],
    [/(-?\d+(?:\.\d+)?) psi/g, (n) => `${Math.round(n * 6.894757)} kPa`],
]
const TO_IMPERIAL: [RegExp, (n: number) => string][] = [
    [/(-?\d+(?:\.\d+)?) °C/g, (n) => `${round(n * 1.8 + 32)} °F`],
    [/(-?\d+(?:\.\d+)?) mbar/g, (n) => `${(n / 2.490889).toFixed(2)} in. w.c.`],
    [/(-?\d+(?:\.\d+)?) kPa(?![a-z])/g, (n) => `${round(n / 6.894757)} psi`],
    [/(-?\d+(?:\.\d+)?) Pa(?![a-z])/g, (n) => `${(n / 249.0889).toFixed(2)} in. w.c.`],
]

/** A text with its degrees and pressures in the units that a person likes; everything else as it is. */
export function inUnits(text: string, units: Look['units']): string {
    if (units === 'given') return text
    let out = text
    if (units === 'metric') {
        out = out.replace(
            TO_METRIC[0]![0],
            (_m, a: string, to: string, b: string) =>
                `${round((Number(a) - 32) / 1.8)}${to}${round((Number(b) - 32) / 1.8)} °C`,
        )
    }
    for (const [pattern, convert] of units === 'metric' ? TO_METRIC.slice(1) : TO_IMPERIAL)
        out = out.replace(pattern, (_m, n: string) => convert(Number(n)))
    return out
}

function round(n: number): string {
    const r = Math.round(n * 10) / 10
    return Number.isInteger(r) ? String(r) : r.toFixed(1)
}
