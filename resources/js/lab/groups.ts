import type { LabPage, LabRow } from '@/lib/types'
import { t } from '@/words'

export type Reading = LabPage['readings'][number]

/** Readings of one place in one state, over all units: what can be laid beside one figure of the model. */
export interface Group {
    key: string
    what: string
    state: string
    unit: string
    readings: Reading[]
}

/** Readings by where and in which state they were taken, in the order in which each was first met. */
export function grouped({ readings, modes, taps, places, visits, faults }: LabPage): Group[] {
    const place = new Map(places.map((p) => [p.place, p.title]))
    const groups = new Map<string, Group>()
    for (const r of readings) {
        const key = [r.visit, r.at_s, r.fault, r.mode, r.red, r.black, r.tap].join('|')
        const group = groups.get(key) ?? {
            key,
            what: r.tap
                ? (taps.find((x) => x.tap === r.tap)?.title ?? r.tap)
                : t('{{mode}}, {{red}} to {{black}}', {
                      mode: modes.find((m) => m.mode === r.mode)?.title ?? r.mode,
                      red: place.get(r.red) ?? r.red,
                      black: place.get(r.black) ?? r.black,
                  }),
            state: [
                visits[r.visit] ?? r.visit,
                t('{{seconds}} s after the arrival', { seconds: r.at_s }),
                ...(r.fault ? [faults.find((f) => f.id === r.fault)?.title ?? r.fault] : []),
            ].join(' · '),
            unit: r.is_in,
            readings: [],
        }
        group.readings.push(r)
        groups.set(key, group)
    }
    return [...groups.values()]
}

/** What a strip reaches over: all that was read and what the model gives, with a little room; never nothing. */
export function reach(readings: Reading[], model: number | null): [number, number] {
    const all = [...readings.map((r) => r.value), ...(model === null ? [] : [model])]
    const [least, most] = [Math.min(...all), Math.max(...all)]
    const room = (most - least || Math.abs(most) || 1) * 0.1
    return [least - room, most + room]
}

export type Compared = Map<number, LabRow>
