import { Box, Progress, Stack, Table, Text } from '@chakra-ui/react'
import { useMemo } from 'react'
import { familyName } from '@/lib/families'
import type { AnalysisState, FaultName, Findings as Result } from '@/lib/types'
import { Tree } from './Tree'
import { MainButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    state: AnalysisState | null
    error: string | null
    begin: () => void
    faults: FaultName[]
    chosen: string
    onChoose: (fault: string) => void
}

/**
 * What can be told of a model's faults: how they share the weight, which look alike, the tree, and how hard each is.
 */
export function Trouble({ state, error, begin, faults, chosen, onChoose }: Props) {
    const titles = useMemo(() => Object.fromEntries(faults.map((f) => [f.id, f.title])), [faults])
    const problem = error ?? state?.error
    if (!state?.result) {
        return (
            <Stack layerStyle="panel" h="100%" align="center" justify="center" gap="3" p="6">
                {state && !problem ? (
                    <Stack w="320px" gap="2" role="status">
                        <Text fontWeight={700}>{state.doing}</Text>
                        <Progress.Root value={Math.round(state.share * 100)} aria-label={t('Analysis')}>
                            <Progress.Track>
                                <Progress.Range bg="copper" />
                            </Progress.Track>
                        </Progress.Root>
                        <Text fontSize="text" color="faint">
                            {t('{{Math}} %. It goes on when you leave this page.', {
                                Math: Math.round(state.share * 100),
                            })}
                        </Text>
                    </Stack>
                ) : (
                    <>
                        <Text maxW="52ch" textAlign="center">
                            {t(
                                'Every fault of this model is run, and all that can be read, seen and heard is compared: which faults look alike, what to ask first, how hard each is to find. It takes up to a minute.',
                            )}
                        </Text>
                        {problem && (
                            <Text color="danger" role="alert">
                                {problem}
                            </Text>
                        )}
                        <MainButton onClick={begin}>{t('Find what tells them apart')}</MainButton>
                    </>
                )}
            </Stack>
        )
    }
    return (
        <Tree
            root={state.result.tree}
            titles={titles}
            chosen={state.result.faults.some((f) => f.id === chosen) && chosen !== 'healthy' ? chosen : null}
            onChoose={onChoose}
        />
    )
}

/** The figures beside the tree: of the model, and of the fault that is chosen. */
export function Findings({
    result,
    titles,
    chosen,
}: {
    result: Result
    titles: Record<string, string>
    chosen: string
}) {
    const fault = result.faults.find((f) => f.id === chosen)
    const families = useMemo(() => {
        const sums = new Map<string, { count: number; weight: number; grade: number }>()
        for (const f of result.faults) {
            if (f.id === 'healthy') continue
            const s = sums.get(f.family) ?? { count: 0, weight: 0, grade: 0 }
            sums.set(f.family, { count: s.count + 1, weight: s.weight + f.weight, grade: s.grade + f.grade })
        }
        return [...sums].sort((a, b) => b[1].weight - a[1].weight)
    }, [result])
    const all = families.reduce((sum, [, s]) => sum + s.weight, 0)
    return (
        <>
            <Box>
                <Text fontSize="note" color="faint">
                    {t('Readings to the end of the tree')}
                </Text>
                <Text>
                    <span className="reading">{result.expected.toFixed(2)}</span>{' '}
                    {t('on average; no way of asking needs fewer than')}{' '}
                    <span className="reading">{result.bound.toFixed(2)}</span>
                </Text>
                <Text fontSize="note" color="faint">
                    {t('{{toLocaleString}} questions weighed, up to {{outcomes}} answers each', {
                        toLocaleString: result.questions.toLocaleString('en'),
                        outcomes: result.outcomes,
                    })}
                </Text>
            </Box>
            {fault && chosen !== 'healthy' && (
                <Box>
                    <Text fontWeight={700}>{fault.title}</Text>
                    <Text fontSize="text">
                        {t('Grade')} {fault.grade} {t('of 5:')} {fault.questions} {t('questions,')} {fault.minutes}{' '}
                        {t('minutes')}
                        {fault.windows > 0 ? t(', {{windows}} of them by the clock', { windows: fault.windows }) : ''}
                    </Text>
                    {result.without_effect[chosen] && (
                        <Text fontSize="text" color="danger">
                            {t('Nothing shows it here. {{value}}', { value: result.without_effect[chosen] })}
                        </Text>
                    )}
                    {fault.look_alikes.length > 0 && !result.without_effect[chosen] && (
                        <Box mt="1">
                            <Text fontSize="note" color="faint">
                                {t('No reading tells these apart from it; naming one of them is right too:')}
                            </Text>
                            {fault.look_alikes.map((l) => (
                                <Text key={l} fontSize="text">
                                    {titles[l] ?? l}
                                </Text>
                            ))}
                        </Box>
                    )}
                </Box>
            )}
            <Table.Root size="sm">
                <Table.Header>
                    <Table.Row bg="ground">
                        {['Family', 'Faults', 'Share', 'Grade'].map((h) => (
                            <Table.ColumnHeader key={h} color="ink" px="1">
                                {h}
                            </Table.ColumnHeader>
                        ))}
                    </Table.Row>
                </Table.Header>
                <Table.Body>
                    {families.map(([name, s]) => (
                        <Table.Row key={name} bg="sheet">
                            <Table.Cell px="1" fontSize="note">
                                {familyName(name)}
                            </Table.Cell>
                            <Table.Cell px="1" className="reading">
                                {s.count}
                            </Table.Cell>
                            <Table.Cell px="1" className="reading">
                                {Math.round((100 * s.weight) / all)} %
                            </Table.Cell>
                            <Table.Cell px="1" className="reading">
                                {(s.grade / s.count).toFixed(1)}
                            </Table.Cell>
                        </Table.Row>
                    ))}
                </Table.Body>
            </Table.Root>
            {Object.keys(result.without_effect).length > 0 && (
                <Box>
                    <Text fontSize="note" fontWeight={700}>
                        {t('Reads healthy everywhere')}
                    </Text>
                    {Object.entries(result.without_effect).map(([id, why]) => (
                        <Text key={id} fontSize="note" mt="1">
                            {titles[id] ?? id}.{' '}
                            <Text as="span" color="faint">
                                {why}
                            </Text>
                        </Text>
                    ))}
                </Box>
            )}
        </>
    )
}
