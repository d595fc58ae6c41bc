import { Box, Progress, Table, Text } from '@chakra-ui/react'
import { useState } from 'react'
import { useSent, useTold } from '@/lib/query'
import type { RulesDocument, RulesPreview } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

const EVERY_MS = 1000

const isOver = (p: RulesPreview) => p.rows !== null || p.error !== null

/** The last attempts under the rules as they stand on the page, beside the marks that they have. */
export function Preview({ document }: { document: RulesDocument }) {
    const [asked, setAsked] = useState<{ of: RulesDocument; first: RulesPreview } | null>(null)
    const wanted = useSent<RulesPreview, { document: RulesDocument }>('/rules/preview', {
        onDone: (first) => setAsked({ of: document, first }),
    })
    const told = useTold<RulesPreview>(`/rules/preview/${asked?.first.id ?? 0}`, {
        every: EVERY_MS,
        enabled: asked !== null,
        initial: asked?.first ?? null,
        isOver,
        of: asked?.first.id,
    })
    const state = asked === null ? null : (told.data ?? asked.first)
    const said = wanted.error?.message ?? told.error?.message ?? state?.error
    const isOld = asked !== null && asked.of !== document
    return (
        <Box as="section" aria-label={t('Preview')}>
            <ToolButton disabled={wanted.isPending} onClick={() => wanted.mutate({ document })}>
                {t('Try these rules on the last attempts')}
            </ToolButton>
            {said && (
                <Text color="danger" fontSize="text" role="alert">
                    {said}
                </Text>
            )}
            {state && !isOver(state) && (
                <Progress.Root
                    value={Math.round(100 * state.share)}
                    aria-label={t('Attempts marked')}
                    role="status"
                    mt="2"
                >
                    <Progress.Track>
                        <Progress.Range bg="copper" />
                    </Progress.Track>
                </Progress.Root>
            )}
            {state?.rows?.length === 0 && (
                <Text fontSize="text">{t('No attempt of your jobs has been marked yet.')}</Text>
            )}
            {state?.rows && state.rows.length > 0 && (
                <Box overflowX="auto" opacity={isOld ? 0.5 : 1}>
                    {isOld && <Text fontSize="note">{t('The rules have been changed since. Try them again.')}</Text>}
                    <Table.Root size="sm" fontSize="text">
                        <Table.Header>
                            <Table.Row bg="transparent">
                                <Table.ColumnHeader>{t('Attempt')}</Table.ColumnHeader>
                                <Table.ColumnHeader textAlign="right">{t('It has')}</Table.ColumnHeader>
                                <Table.ColumnHeader textAlign="right">{t('Under these rules')}</Table.ColumnHeader>
                            </Table.Row>
                        </Table.Header>
                        <Table.Body>
                            {state.rows.map((r) => (
                                <Table.Row key={r.attempt} bg="transparent">
                                    <Table.Cell>
                                        {r.trainee}: {r.job}
                                    </Table.Cell>
                                    <Table.Cell textAlign="right">
                                        <Result total={r.old.total} passed={r.old.passed} />
                                    </Table.Cell>
                                    <Table.Cell textAlign="right">
                                        <Result total={r.new.total} passed={r.new.passed} />
                                        {r.new.not_passed.length > 0 && (
                                            <Text fontSize="note" color="faint">
                                                {r.new.not_passed.join(', ')}
                                            </Text>
                                        )}
                                    </Table.Cell>
                                </Table.Row>
                            ))}
                        </Table.Body>
                    </Table.Root>
                </Box>
            )}
        </Box>
    )
}

function Result({ total, passed }: { total: number; passed: boolean }) {
    return (
        <>
            <Text as="span" className="reading" color={passed ? 'good' : 'danger'}>
                {total.toFixed(1)}
            </Text>{' '}
            <Text as="span" fontSize="note" color="faint">
                {passed ? t('passed') : t('not passed')}
            </Text>
        </>
    )
}
