import { router } from '@inertiajs/react'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import type { PredictionHint, SheetClosed } from '@/lib/generated/replies'
import { Refusal, send } from '@/lib/send'
import { t } from '@/words'

interface Item<S> {
    said: S | null
    hints: string[]
}

/** A sheet that is worked item by item: answers and hints sent, what came of them kept, the sheet handed in. */
export function useSheet<S, R extends Item<S>, B>(attempt: number, answers: string, given: R[]) {
    const [rows, setRows] = useState(given)
    const [refused, setRefused] = useState<string | null>(null)
    const [open, setOpen] = useState(
        Math.max(
            0,
            given.findIndex((r) => r.said === null),
        ),
    )
    const change = (item: number, how: (row: R) => R) => {
        setRefused(null)
        setRows((all) => all.map((row, i) => (i === item ? how(row) : row)))
    }
    const onError = (error: unknown) => {
        const status = error instanceof Refusal ? error.status : 0
        if ([401, 409, 419].includes(status)) router.visit(`/attempts/${attempt}/sheet`, { replace: true })
        setRefused(error instanceof Error ? error.message : t('Something went wrong on this page. Load it again.'))
    }
    const say = useMutation({
        mutationFn: (body: { item: number } & B) =>
            send<{ item: number; said: S }>('POST', `/attempts/${attempt}/${answers}`, body),
        onSuccess: ({ item, said }) => change(item, (row) => ({ ...row, said })),
        onError,
    })
    const hint = useMutation({
        mutationFn: (item: number) => send<PredictionHint>('POST', `/attempts/${attempt}/predictions/hint`, { item }),
        onSuccess: ({ item, text }) => change(item, (row) => ({ ...row, hints: [...row.hints, text] })),
        onError,
    })
    const close = useMutation({
        mutationFn: () => send<SheetClosed>('POST', `/attempts/${attempt}/sheet`, {}),
        onSuccess: ({ goes }) => router.visit(goes),
        onError,
    })
    return { rows, open, setOpen, refused, say, hint, close }
}
