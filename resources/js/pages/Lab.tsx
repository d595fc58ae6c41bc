import { Box, Grid, Heading, Stack, Text } from '@chakra-ui/react'
import { Link } from '@inertiajs/react'
import { BookList } from '@/lab/BookList'
import { FitUnit } from '@/lab/FitUnit'
import { grouped } from '@/lab/groups'
import { NoteReading } from '@/lab/NoteReading'
import { Readings } from '@/lab/Readings'
import { useTold } from '@/lib/query'
import type { LabCompared, LabPage } from '@/lib/types'
import { Frame } from '@/shell/Frame'
import { t } from '@/words'

/** The lab book of a model: what real units show, beside what the model gives. */
export default function Lab(page: LabPage) {
    const book = `/models/${page.model.id}/lab`
    const compared = useTold<LabCompared>(`${book}/compared`, {
        enabled: page.readings.length > 0,
        of: page.readings.map((r) => r.id).join(),
        keep: true,
    })
    const units = [...new Set(page.readings.map((r) => r.unit))].sort()
    return (
        <Frame title={t('Lab book: {{title}}', { title: page.model.title })}>
            <Stack gap="4">
                <Box>
                    <Heading as="h1" size="2xl">
                        {t('Lab book')}
                    </Heading>
                    <Link href={`/models/${page.model.id}`}>
                        <Text color="copper" textDecoration="underline">
                            {page.model.title}
                        </Text>
                    </Link>
                </Box>
                <Grid templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 400px' }} gap="4" alignItems="start">
                    <Stack gap="4">
                        {page.readings.length === 0 && (
                            <Text color="faint">
                                {t(
                                    'Nothing is noted yet. Note what the real units in your lab show, and it stands beside what the model gives; then the model can be fitted to a unit.',
                                )}
                            </Text>
                        )}
                        {page.readings.length > page.compared && (
                            <Text fontSize="note" color="faint">
                                {t('Only the last {{count}} readings are compared with the model.', {
                                    count: page.compared,
                                })}
                            </Text>
                        )}
                        {compared.error && (
                            <Text role="alert" color="danger">
                                {compared.error.message}
                            </Text>
                        )}
                        <Readings
                            book={book}
                            groups={grouped(page)}
                            compared={new Map((compared.data?.rows ?? []).map((r) => [r.id, r]))}
                        />
                    </Stack>
                    <Stack gap="4">
                        <NoteReading book={book} page={page} />
                        {units.length > 0 && <FitUnit key={units.join()} book={book} units={units} />}
                        <BookList book={book} />
                    </Stack>
                </Grid>
            </Stack>
        </Frame>
    )
}
