import { Heading, HStack, Stack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import { Select } from '@/shell/Select'
import { Chart } from './Chart'

import { Lines } from './TableLines'

import type { Draft, Edit } from './types'
import { t } from '@/words'

interface Props {
    draft: Draft
    edit: (...edits: Edit[]) => Promise<boolean>
}

/** The sequence tables of a model's controls: drawn as a chart, and changed line by line. */
export function Tables({ draft, edit }: Props) {
    const controls = Object.entries(draft.settings).flatMap(([part, s]) =>
        Object.entries(s.tables).map(([primitive, shown]) => ({
            part,
            primitive,
            shown,
            own: draft.document.parts.some((p) => p.id === part),
        })),
    )
    const [at, setAt] = useState(0)
    const control = controls[Math.min(at, controls.length - 1)]
    const label = (part: string) => draft.board.parts.find((p) => p.id === part)?.label ?? part
    if (!control)
        return (
            <Text p="3" color="faint">
                {t(
                    'No control with a table is on the board: what is there works by its switches alone. Place a control, or make one under “Custom parts”.',
                )}
            </Text>
        )
    return (
        <Stack
            layerStyle="panel"
            gap="2"
            h="100%"
            overflowY="auto"
            p="3"
            tabIndex={0}
            aria-label={t('Sequence tables')}
        >
            <HStack gap="2">
                {controls.length > 1 && (
                    <Select
                        label={t('Control')}
                        value={String(Math.min(at, controls.length - 1))}
                        options={controls.map((c, i) => [String(i), label(c.part)])}
                        onChange={(v) => setAt(Number(v))}
                    />
                )}
                <Heading as="h2" size="md">
                    {label(control.part)}: {control.shown.table.title}
                </Heading>
            </HStack>
            {control.shown.remarks.length === 0 ? (
                <Text fontSize="text" color="good">
                    {t(
                        'No problems found: every state can be reached and left, and the fuel stops when a proof is missing.',
                    )}
                </Text>
            ) : (
                control.shown.remarks.map((r) => (
                    <Text key={r.pointer + r.text} fontSize="text" color="danger">
                        ▲ {r.pointer}: {r.text}
                    </Text>
                ))
            )}
            <Chart shown={control.shown} />
            {control.own ? (
                <Lines
                    key={control.part}
                    part={control.part}
                    primitive={control.primitive}
                    shown={control.shown}
                    edit={edit}
                />
            ) : (
                <Text fontSize="text">{t('Part of the included appliance. Change it in that model.')}</Text>
            )}
        </Stack>
    )
}
