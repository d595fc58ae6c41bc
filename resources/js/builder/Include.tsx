import { HStack, Popover, Portal, Stack, Text } from '@chakra-ui/react'
import { memo, useState } from 'react'
import { Word } from '@/builder/Word'
import type { Edit, Includable } from '@/builder/types'
import type { BoardData } from '@/lib/types'
import { Select } from '@/shell/Select'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    models: Includable[]
    board: BoardData
    edit: (...edits: Edit[]) => Promise<boolean>
}

/** An appliance put into this one as a whole; its ports are places to wire to. */
export const Include = memo(function Include({ models, board, edit }: Props) {
    const [open, setOpen] = useState(false)
    const [model, setModel] = useState(models[0]?.name ?? '')
    const ports = models.find((m) => m.name === model)?.ports ?? []
    return (
        <Popover.Root
            open={open}
            onOpenChange={(e) => setOpen(e.open)}
            positioning={{ placement: 'bottom-end' }}
            lazyMount
            unmountOnExit
        >
            <Popover.Trigger asChild>
                <ToolButton h="row" px="2" fontSize="text" aria-label={t('Include an appliance')}>
                    {t('Include…')}
                </ToolButton>
            </Popover.Trigger>
            <Portal>
                <Popover.Positioner>
                    <Popover.Content
                        bg="sheet"
                        borderWidth="1px"
                        borderColor="line"
                        w="320px"
                        p="3"
                        aria-label={t('Include')}
                    >
                        <Stack gap="2">
                            <Select
                                label={t('Appliance to include')}
                                value={model}
                                options={models.map((m) => [m.name, m.title])}
                                onChange={setModel}
                            />
                            <Text fontSize="note" color="faint">
                                {ports.length
                                    ? t('ports {{ports}}', { ports: ports.join(', ') })
                                    : t('no ports: its terminals are wired to themselves')}
                            </Text>
                            <HStack gap="1">
                                <Word
                                    onClick={() => {
                                        void edit({
                                            do: 'include',
                                            keep: true,
                                            model,
                                            id: model.split('-')[0] ?? model,
                                            by: [
                                                0,
                                                board.parts.length === 0
                                                    ? 0
                                                    : Math.max(...board.parts.map((p) => p.y + p.h)) + 60,
                                            ],
                                        })
                                        setOpen(false)
                                    }}
                                >
                                    {t('Include')}
                                </Word>
                                <Word onClick={() => setOpen(false)}>{t('Cancel')}</Word>
                            </HStack>
                        </Stack>
                    </Popover.Content>
                </Popover.Positioner>
            </Portal>
        </Popover.Root>
    )
})
