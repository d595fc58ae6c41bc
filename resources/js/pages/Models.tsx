import { Box, Grid, Heading, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { Link } from '@inertiajs/react'
import { useMemo, useState } from 'react'
import { BoardPicture } from '@/board/BoardPicture'
import type { ModelRow } from '@/lib/types'
import { search } from '@/search/search'
import { Frame } from '@/shell/Frame'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

type Facet = keyof ModelRow['facets']

/** By what models are told apart, and what each is called. */
const FACETS: [Facet, string][] = [
    ['fuel', 'Fuel'],
    ['ignition', 'Ignition'],
    ['heats', 'Heats'],
    ['supply', 'Supply'],
]

/** The models of the school as cards, found by their words and by what they are. */
export default function Models({ models }: { models: ModelRow[] }) {
    const [words, setWords] = useState('')
    const [wanted, setWanted] = useState<Partial<Record<Facet, string>>>({})
    const found = useMemo(
        () =>
            search(
                models.filter((m) => FACETS.every(([f]) => wanted[f] === undefined || m.facets[f] === wanted[f])),
                words,
                (m) => ({ title: m.title, more: `${m.notes} ${Object.values(m.facets).join(' ')}` }),
            ),
        [models, words, wanted],
    )
    return (
        <Frame title={t('Models')}>
            <Stack gap="4">
                <HStack justify="space-between" wrap="wrap">
                    <Heading as="h1" size="2xl">
                        {t('Models')}
                    </Heading>
                    <Input
                        aria-label={t('Find a model')}
                        placeholder={t('Find: furnace, zones, pilot, 230 V…')}
                        w="320px"
                        h="touch"
                        bg="sheet"
                        borderColor="line"
                        value={words}
                        onChange={(e) => setWords(e.target.value)}
                    />
                </HStack>
                <HStack gap="5" wrap="wrap" rowGap="2">
                    {FACETS.map(([facet, name]) => (
                        <HStack key={facet} gap="1" role="group" aria-label={name}>
                            <Text fontSize="note" color="faint">
                                {name}
                            </Text>
                            {[...new Set(models.map((m) => m.facets[facet]))].sort().map((value) => (
                                <ToolButton
                                    key={value}
                                    size="sm"
                                    px="2"
                                    on={wanted[facet] === value}
                                    onClick={() =>
                                        setWanted({ ...wanted, [facet]: wanted[facet] === value ? undefined : value })
                                    }
                                >
                                    {value}
                                </ToolButton>
                            ))}
                        </HStack>
                    ))}
                </HStack>
                {found.length === 0 && (
                    <Text color="faint">{t('No model matches. Take a filter off, or make one under “Build”.')}</Text>
                )}
                <Grid templateColumns="repeat(auto-fill, minmax(300px, 1fr))" gap="4">
                    {found.map((m) => (
                        <Stack layerStyle="panel" key={m.id} p="3" gap="2" as="article" aria-label={m.title}>
                            <BoardPicture picture={m.picture} />
                            <Text fontWeight={700} fontSize="17px">
                                {m.title}
                            </Text>
                            <Text fontSize="note" lineClamp={3} title={m.notes}>
                                {m.notes}
                            </Text>
                            <Box flex="1" />
                            <HStack justify="space-between">
                                <Text fontSize="note" color="faint">
                                    {t('{{parts}} parts, {{wires}} wires, {{faults}} faults', {
                                        parts: m.parts,
                                        wires: m.wires,
                                        faults: m.faults,
                                    })}
                                </Text>
                                <MainButton asChild>
                                    <Link
                                        href={`/models/${m.id}`}
                                        aria-label={t('Set a fault in {{title}}', { title: m.title })}
                                    >
                                        {t('Set a fault')}
                                    </Link>
                                </MainButton>
                            </HStack>
                        </Stack>
                    ))}
                </Grid>
            </Stack>
        </Frame>
    )
}
