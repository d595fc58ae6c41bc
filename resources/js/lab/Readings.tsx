import { Box, Heading, HStack, Stack, Table, Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'
import type { Compared, Group } from './groups'
import { Strip } from './Strip'

interface Props {
    book: string
    groups: Group[]
    compared: Compared
}

/** All that was read, by where and in which state, each beside what the model gives there. */
export function Readings({ book, groups, compared }: Props) {
    return (
        <Stack gap="4">
            {groups.map((group) => {
                const rows = group.readings.map((r) => compared.get(r.id))
                const model = rows.find((r) => r?.model != null)?.model ?? null
                const says = rows.find((r) => r?.says)?.says
                return (
                    <Box key={group.key} as="section" aria-label={group.what} layerStyle="panel" p="4">
                        <Heading as="h2" size="sm">
                            {group.what}
                        </Heading>
                        <Text fontSize="note" color="faint" mb="2">
                            {group.state}
                        </Text>
                        {says && (
                            <Text role="status" fontSize="text" color="danger">
                                {says}
                            </Text>
                        )}
                        <Strip readings={group.readings} model={model} unit={group.unit} />
                        <Table.Root size="sm" mt="2">
                            <Table.Body>
                                {group.readings.map((r) => {
                                    const row = compared.get(r.id)
                                    return (
                                        <Table.Row key={r.id} bg="transparent">
                                            <Table.Cell fontWeight={700}>{r.unit}</Table.Cell>
                                            <Table.Cell>
                                                {[r.date, r.by, r.meter, r.note].filter(Boolean).join(' · ')}
                                            </Table.Cell>
                                            <Table.Cell className="reading" textAlign="right" whiteSpace="nowrap">
                                                {r.value} {r.is_in}
                                            </Table.Cell>
                                            <Table.Cell
                                                whiteSpace="nowrap"
                                                color={row?.agrees === false ? 'danger' : 'ink'}
                                            >
                                                {row === undefined
                                                    ? ''
                                                    : row.agrees
                                                      ? t('✓ as the model')
                                                      : row.model === null
                                                        ? ''
                                                        : t('▲ the model: {{shows}}', { shows: row.shows })}
                                            </Table.Cell>
                                            <Table.Cell textAlign="right">
                                                {r.mine && (
                                                    <HStack justify="flex-end">
                                                        <ToolButton
                                                            h="row"
                                                            px="2"
                                                            fontSize="text"
                                                            aria-label={t('Take out {{value}} of {{unit}}', {
                                                                value: r.value,
                                                                unit: r.unit,
                                                            })}
                                                            onClick={() =>
                                                                router.delete(`${book}/${r.id}`, {
                                                                    preserveScroll: true,
                                                                })
                                                            }
                                                        >
                                                            {t('Take out')}
                                                        </ToolButton>
                                                    </HStack>
                                                )}
                                            </Table.Cell>
                                        </Table.Row>
                                    )
                                })}
                            </Table.Body>
                        </Table.Root>
                    </Box>
                )
            })}
        </Stack>
    )
}
