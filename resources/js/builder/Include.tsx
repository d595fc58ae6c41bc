import { Box, HStack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import { Word } from '@/builder/Word'
import type { Edit, Includable } from '@/builder/types'
import type { BoardData } from '@/lib/types'
import { Select } from '@/shell/Select'

/** An appliance put into this one as a whole; its ports are places to wire to. */
export function Include({
    models,
    board,
    edit,
}: {
    models: Includable[]
    board: BoardData
    edit: (...edits: Edit[]) => Promise<boolean>
}) {
    const [open, setOpen] = useState(false)
    const [model, setModel] = useState(models[0]?.name ?? '')
    const ports = models.find((m) => m.name === model)?.ports ?? []
    if (!open)
        return (
            <Box>
                <Word onClick={() => setOpen(true)}>Include an appliance…</Word>
            </Box>
        )
    return (
        <HStack gap="2">
            <Select
                label="Appliance to include"
                value={model}
                options={models.map((m) => [m.name, m.title])}
                onChange={setModel}
            />
            <Text fontSize="note" color="faint" flex="1">
                {ports.length ? `ports ${ports.join(', ')}` : 'no ports: its terminals are wired to themselves'}
            </Text>
            <Word
                onClick={() => {
                    void edit({
                        do: 'include',
                        model,
                        id: model.split('-')[0] ?? model,
                        by: [0, board.parts.length === 0 ? 0 : Math.max(...board.parts.map((p) => p.y + p.h)) + 60],
                    })
                    setOpen(false)
                }}
            >
                Include
            </Word>
            <Word onClick={() => setOpen(false)}>Cancel</Word>
        </HStack>
    )
}
