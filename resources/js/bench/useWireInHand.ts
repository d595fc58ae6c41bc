import { useState } from 'react'
import type { DoAct, Fields } from '@/lib/acts'
import type { WiringJob } from '@/lib/types'
import type { InHandWire } from './WireTools'

type Colour = NonNullable<Fields<'run_wire'>['colour']>

/** The wire in one's hands: pressed on one terminal, and then on another, it is run between them. */
export function useWireInHand(job: WiringJob | null, act: DoAct) {
    const [wire, setWire] = useState<InHandWire>({
        on: job !== null,
        from: null,
        colour: job?.colours[0] ?? '',
        gauge: job?.gauges[job.metric ? 1 : 0] ?? 0,
    })
    /** Tells whether a press of a terminal was for the wire, and not for a lead. */
    const press = async (at: string): Promise<boolean> => {
        if (!job || !wire.on) return false
        const { from } = wire
        setWire({ ...wire, from: from === null ? at : null })
        if (from !== null && from !== at) {
            const gauge = job.metric ? { mm2: wire.gauge } : { awg: wire.gauge }
            await act('run_wire', { from, to: at, colour: wire.colour as Colour, ...gauge })
        }
        return true
    }
    return { wire, setWire, press }
}
