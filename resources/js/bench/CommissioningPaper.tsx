import { Box, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import type { DoAct } from '@/lib/acts'
import type { CommissioningJob } from '@/lib/generated/replies'
import type { Entry } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

type Found = 'in_order' | 'out_of_order'

interface Props {
    job: CommissioningJob
    log: readonly Entry[]
    act: DoAct
}

/** What is written down by now, by row: the last of each. */
function writtenIn(log: readonly Entry[]) {
    const written = new Map<string, { figure: number | null; found: Found }>()
    for (const { act, refused } of log)
        if (act.act === 'fill_in' && !refused)
            written.set(String(act.row), {
                figure: typeof act.figure === 'number' ? act.figure : null,
                found: act.found as Found,
            })
    return written
}

/** The commissioning sheet: each figure, whether it is in order, each safety that was made to act; signed below. */
export function CommissioningPaper({ job, log, act }: Props) {
    const written = writtenIn(log)
    const signed = log.findLast((e) => e.act.act === 'sign' && !e.refused)?.act.as
    const left = [...job.rows, ...job.safeties].filter((r) => !written.has(r.id)).length
    return (
        <Stack gap="2" h="100%" overflowY="auto" tabIndex={0} aria-label={t('Commissioning sheet')}>
            <Text fontSize="text">
                {t(
                    'Measure once it has burned for a while. What is out of order is put right, or the appliance made safe, tagged and the customer told. Write a row again to change it.',
                )}
            </Text>
            {job.rows.map((row) => (
                <FigureRow key={row.id} row={row} was={written.get(row.id)} act={act} />
            ))}
            <Text fontWeight={700} fontSize="text">
                {t('Made to act with the fire lit: does the fuel stop?')}
            </Text>
            {job.safeties.map((s) => (
                <HStack key={s.id} justify="space-between" gap="1">
                    <Text fontSize="text" flex="1">
                        {s.title}
                    </Text>
                    <FoundButtons
                        title={s.title}
                        found={written.get(s.id)?.found}
                        words={[t('Stops'), t('Goes on')]}
                        onFound={(found) => void act('fill_in', { row: s.id, found })}
                    />
                </HStack>
            ))}
            <Box borderTopWidth="1px" borderColor="line" pt="2">
                <Text fontSize="text" role="status">
                    {signed === undefined
                        ? t('Not signed. Rows without an entry: {{left}}.', { left })
                        : signed === 'in_service'
                          ? t('Signed: it goes into service.')
                          : t('Signed: it does not go into service.')}
                </Text>
                <HStack gap="1" mt="1">
                    <ToolButton
                        on={signed === 'in_service'}
                        whiteSpace="normal"
                        onClick={() => void act('sign', { as: 'in_service' })}
                    >
                        {t('Sign: into service')}
                    </ToolButton>
                    <ToolButton
                        on={signed === 'out_of_service'}
                        whiteSpace="normal"
                        onClick={() => void act('sign', { as: 'out_of_service' })}
                    >
                        {t('Sign: out of service')}
                    </ToolButton>
                </HStack>
            </Box>
        </Stack>
    )
}

interface FigureProps {
    row: CommissioningJob['rows'][number]
    was: { figure: number | null; found: Found } | undefined
    act: DoAct
}

/** A figure: between what it should lie, what was read, in order or not. */
function FigureRow({ row, was, act }: FigureProps) {
    const [text, setText] = useState('')
    const shown = text === '' ? (was?.figure ?? '').toString() : text
    const figure = shown.trim() === '' ? NaN : Number(shown.replace(',', '.'))
    return (
        <Box borderTopWidth="1px" borderColor="line" pt="1">
            <Text fontSize="text">{row.title}</Text>
            <Text fontSize="note" color="faint">
                {t('Should be: {{range}}', { range: row.range })}
            </Text>
            <HStack gap="1" wrap="wrap">
                <Input
                    aria-label={t('{{title}}, in {{unit}}', { title: row.title, unit: row.unit })}
                    inputMode="decimal"
                    className="reading"
                    w="84px"
                    h="touch"
                    borderColor="line"
                    autoComplete="off"
                    value={shown}
                    onChange={(e) => setText(e.target.value)}
                />
                <Text fontSize="note" minW="52px">
                    {row.unit}
                </Text>
                <FoundButtons
                    title={row.title}
                    found={was?.found}
                    words={[t('In order'), t('Out')]}
                    disabled={!Number.isFinite(figure)}
                    onFound={(found) => {
                        setText('')
                        void act('fill_in', { row: row.id, figure, found })
                    }}
                />
            </HStack>
        </Box>
    )
}

interface FoundProps {
    title: string
    found: Found | undefined
    words: [string, string]
    disabled?: boolean
    onFound: (found: Found) => void
}

/** The two ways in which something can be found. */
function FoundButtons({ title, found, words, disabled, onFound }: FoundProps) {
    const each: [Found, string][] = [
        ['in_order', words[0]],
        ['out_of_order', words[1]],
    ]
    return (
        <HStack gap="1">
            {each.map(([value, word]) => (
                <ToolButton
                    key={value}
                    px="2"
                    on={found === value}
                    disabled={disabled}
                    aria-label={`${title}: ${word}`}
                    onClick={() => onFound(value)}
                >
                    {word}
                </ToolButton>
            ))}
        </HStack>
    )
}
