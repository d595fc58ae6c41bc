import { useCallback, useMemo, useState } from 'react'
import type { DoAct, Fields } from '@/lib/acts'
import type { Channels, Scene } from '@/lib/types'

/** What is perceived of the twin is called so, and as it is called of the unit. */
const PREFIX = 'twin '

/** What is done to the one that is looked at; whatever is set, opened or held is so on both. */
const THERE = ['leads', 'dial', 'read', 'keep', 'look'] as const

const isThere = (name: string): name is Fields<'twin'>['does'] => (THERE as readonly string[]).includes(name)

/** A failed unit and its sound twin: which of them is looked at, how it stands, and what is done there. */
export function useTwin(scene: Scene, seen: Channels, act: DoAct) {
    const [looksAtTwin, setLooksAtTwin] = useState(false)
    const onTwin = looksAtTwin && scene.twin !== null
    const shown = useMemo<Scene>(
        () =>
            onTwin && scene.twin
                ? {
                      ...scene,
                      ...scene.twin,
                      lifted: [],
                      off: [],
                      heads: [],
                      jumpers: [],
                      wired: [],
                      installed: [],
                      at_taps: {},
                      clamp: null,
                  }
                : scene,
        [scene, onTwin],
    )
    const of = useMemo(
        () => (scene.twin === null ? seen : { ...seen, perceived: sideOf(seen, onTwin) }),
        [scene, seen, onTwin],
    )
    const there = useCallback<DoAct>(
        (name, ...fields) =>
            isThere(name)
                ? act('twin', { ...(fields[0] as Partial<Fields<'twin'>>), does: name })
                : act(name, ...fields),
        [act],
    )
    return { onTwin, setOnTwin: setLooksAtTwin, scene: shown, seen: of, act: onTwin ? there : act }
}

/** What is perceived of the one or of the other, by the names that it has on a board. */
function sideOf({ perceived }: Channels, ofTwin: boolean): Channels['perceived'] {
    return Object.fromEntries(
        Object.entries(perceived)
            .filter(([channel]) => channel.startsWith(PREFIX) === ofTwin)
            .map(([channel, stretches]) => [ofTwin ? channel.slice(PREFIX.length) : channel, stretches]),
    )
}
