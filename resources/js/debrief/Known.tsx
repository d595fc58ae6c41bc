import { Box, Button, HStack, Stack, Text } from '@chakra-ui/react'
import { percents } from '@/lib/percents'
import { clock } from '@/tape/scale'
import type { Best, DebriefData, Row } from './types'
import { t } from '@/words'
import { familyName } from '@/lib/families'

interface Props {
    row: Row
    index: number
    debrief: DebriefData
    titles: Record<string, string>
    shown: Best | null
    onShow: (best: Best | null) => void
    onEntry: (entry: number) => void
}

/** For one entry: what was known, what it said of each family, and what would have told more. */
export function Known({ row, index, debrief, titles, shown, onShow, onEntry }: Props) {
    const left = Object.entries(row.left) as [string, number][]
    const rest = left.length === 0 ? 0 : Math.max(0, 1 - left.reduce((sum, [, share]) => sum + share, 0))
    const shares = percents([...left.map(([, share]) => share), rest])
    return (
        <Stack gap="3">
            <Box>
                <Text fontSize="note" color="faint">
                    {t('Entry')} {index + 1}
                    {t(', at')} {clock(row.at_s)}
                </Text>
                <Text fontWeight={700} lineClamp={3}>
                    {row.text}
                </Text>
                <Text fontSize="text">
                    {row.before} {t('suspects before,')} {row.after} {t('after')}
                    {row.watched > 0.05 ? t(', and fewer by watching it') : ''}.
                </Text>
                {row.flaws.map((f) => (
                    <Text key={f} fontSize="text" color="danger">
                        {f}
                    </Text>
                ))}
            </Box>
            <Box>
                <Text fontWeight={700}>{t('Best reading here')}</Text>
                {row.best.length === 0 && (
                    <Text fontSize="text" color="faint">
                        {row.before > 1
                            ? t('Nothing was asked here, or nothing within reach could tell more.')
                            : t('Nothing was left to tell: one suspect stood.')}
                    </Text>
                )}
                {row.best.map((b, i) => (
                    <Button
                        key={i}
                        variant="ghost"
                        w="100%"
                        h="auto"
                        minH="touch"
                        px="2"
                        py="1"
                        justifyContent="flex-start"
                        textAlign="left"
                        whiteSpace="normal"
                        fontWeight={400}
                        fontSize="text"
                        color="ink"
                        bg={shown === b ? 'copperWash' : undefined}
                        aria-pressed={shown === b}
                        aria-label={t('Show on the board: {{text}}', { text: b.text })}
                        onClick={() => onShow(shown === b ? null : b)}
                    >
                        <span style={{ flex: 1 }}>
                            {i + 1}. {b.text}
                        </span>{' '}
                        <span className="reading">{b.splits ?? t('{{bits}} bits', { bits: b.bits.toFixed(2) })}</span>
                    </Button>
                ))}
            </Box>
            {row.families.length > 0 && (
                <Box>
                    <Text fontWeight={700}>{t('What it said of each family')}</Text>
                    {row.families.map((f) => (
                        <HStack key={f.family} justify="space-between" fontSize="text">
                            <Text>{familyName(f.family)}</Text>
                            <Text
                                className="reading"
                                color={
                                    f.after > f.before + 0.01 ? 'copper' : f.after < f.before - 0.01 ? 'good' : 'faint'
                                }
                            >
                                {(100 * f.before).toFixed(0)} → {(100 * f.after).toFixed(0)} %
                            </Text>
                        </HStack>
                    ))}
                </Box>
            )}
            <Box>
                <Text fontWeight={700}>{t('Still possible after it')}</Text>
                {left.map(([id], i) => (
                    <HStack key={id} justify="space-between" align="start" fontSize="text">
                        <Text>{titles[id] ?? id}</Text>
                        <Text className="reading">{shares[i]} %</Text>
                    </HStack>
                ))}
                {rest > 0.004 && (
                    <HStack justify="space-between" align="start" fontSize="text">
                        <Text>{t('All others together')}</Text>
                        <Text className="reading">{shares[left.length]} %</Text>
                    </HStack>
                )}
                {left.length === 0 && <Text fontSize="text">{t('No single fault shows all of this.')}</Text>}
            </Box>
            {(['won', 'lost'] as const).map(
                (which) =>
                    debrief[which].length > 0 && (
                        <Box key={which}>
                            <Text fontWeight={700}>
                                {which === 'won' ? t('Where the trace was won') : t('Where it was lost')}
                            </Text>
                            {debrief[which].map((turn) => (
                                <Text key={turn.entry} fontSize="text">
                                    <Box
                                        as="button"
                                        color="copper"
                                        textDecoration="underline"
                                        mr="1"
                                        minH="24px"
                                        onClick={() => onEntry(turn.entry)}
                                    >
                                        {t('entry')} {turn.entry + 1}
                                    </Box>
                                    {turn.text}
                                </Text>
                            ))}
                        </Box>
                    ),
            )}
        </Stack>
    )
}
