import { Box, Heading, HStack, Stack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import { Select } from '@/shell/Select'
import { Doors } from './Doors'
import { Field, figure } from './Field'
import { Word } from './Word'
import { Plate } from './Plate'
import { Visits } from './Visits'
import type { Draft, Edit, Includable } from './types'
import { t } from '@/words'

interface Props {
    id: number
    draft: Draft
    models: Includable[]
    edit: (...edits: Edit[]) => Promise<boolean>
}

/**
 * Heat, draught, gas and water: taken over as in a shipped model for the parts that are here, then figure by figure.
 */
export function Process({ id, draft, models, edit }: Props) {
    const [like, setLike] = useState(models[0]?.name ?? '')
    const elements = Object.entries(draft.document.process)
    return (
        <Stack layerStyle="panel" gap="3" h="100%" overflowY="auto" p="3" tabIndex={0} aria-label={t('Process')}>
            <Box>
                <Heading as="h2" size="md">
                    {t('Heat, draft, gas and water')}
                </Heading>
                <Text fontSize="text" color="faint">
                    {t('What burns, flows and warms follows from the pipes on the board:')}{' '}
                    {draft.board.pipes?.length ?? 0}{' '}
                    {t(
                        'joined. Pipes, visits and doors can also be copied from a model that works, for the parts of its kinds that are here; what is here already stays.',
                    )}
                </Text>
                <HStack gap="2" mt="1">
                    <Select
                        label={t('As in')}
                        value={like}
                        options={models.map((m) => [m.name, m.title])}
                        onChange={setLike}
                    />
                    <Word onClick={() => void edit({ do: 'like', model: like })}>{t('Copy from it')}</Word>
                </HStack>
            </Box>
            {elements.map(([id, element]) => (
                <Box
                    key={id}
                    borderTopWidth="1px"
                    borderColor="line"
                    pt="1"
                    as="section"
                    aria-label={t('Process {{id}}', { id })}
                >
                    <HStack>
                        <Text fontWeight={700}>{id}</Text>
                        <Text color="faint" fontSize="text" flex="1">
                            {element.type}
                        </Text>
                        <Word onClick={() => void edit({ do: 'set', path: `/process/${id}`, value: null })}>
                            {t('Remove')}
                        </Word>
                    </HStack>
                    <HStack gap="3" wrap="wrap" align="flex-start">
                        {Object.entries(element)
                            .filter(([key]) => key !== 'type')
                            .map(([key, value]) =>
                                typeof value === 'number' ? (
                                    <Field
                                        key={key}
                                        label={key.replaceAll('_', ' ')}
                                        number
                                        w="100px"
                                        value={value}
                                        onSet={(t) =>
                                            void edit({ do: 'set', path: `/process/${id}/${key}`, value: figure(t) })
                                        }
                                    />
                                ) : (
                                    <Box key={key} maxW="320px">
                                        <Text fontSize="note">{key.replaceAll('_', ' ')}</Text>
                                        <Text fontSize="text" overflowWrap="anywhere">
                                            {words(value)}
                                        </Text>
                                    </Box>
                                ),
                            )}
                    </HStack>
                </Box>
            ))}
            <Plate draft={draft} edit={edit} />
            <Doors draft={draft} edit={edit} />
            <Visits id={id} draft={draft} edit={edit} />
        </Stack>
    )
}

/** Names and conditions of a process element as they read. */
function words(value: unknown): string {
    if (Array.isArray(value)) return value.map(words).join(', ') || 'none'
    if (value !== null && typeof value === 'object')
        return Object.entries(value)
            .map(([k, v]) => (k === 'by' || k === 'to' ? words(v) : `${k.replaceAll('_', ' ')} ${words(v)}`))
            .join(' ')
    return String(value)
}
