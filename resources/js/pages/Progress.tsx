import { Box, Grid, Heading, Stack, Text } from '@chakra-ui/react'
import { Link } from '@inertiajs/react'
import type { ProgressPage } from '@/lib/types'
import { proficiencies, Span } from '@/record/Span'
import { FileLink } from '@/lib/FileLink'
import { Frame } from '@/shell/Frame'
import { t } from '@/words'

/** What one has shown oneself, and what to practise next. */
export default function Progress({ competencies, next, done }: ProgressPage) {
    const shown = Object.entries(proficiencies(competencies))
    return (
        <Frame title={t('My progress')}>
            <Stack gap="5">
                <Heading as="h1" size="2xl">
                    {t('My progress')}
                </Heading>
                {done.length > 0 && (
                    <FileLink href="/progress.pdf">
                        <Text as="span" color="copper" textDecoration="underline">
                            {t('Record sheet (PDF)')}
                        </Text>
                    </FileLink>
                )}
                {done.length === 0 ? (
                    <Text color="faint">{t('Nothing is marked yet. Close your first job, and it shows here.')}</Text>
                ) : (
                    <Text>
                        {t('Practise next:')} <b>{t(next.competency)}</b>. {next.why}
                    </Text>
                )}
                <Grid templateColumns="repeat(auto-fill, minmax(220px, 1fr))" gap="4">
                    {shown.map(([competency, of]) => (
                        <Box key={competency} layerStyle="panel" p="3">
                            <Text fontWeight={700}>{t(competency)}</Text>
                            <Span of={of} label={competency} />
                        </Box>
                    ))}
                </Grid>
                <Stack gap="1">
                    {done.map((job) => (
                        <Text key={job.attempt}>
                            <Link href={`/attempts/${job.attempt}/debrief`} style={{ textDecoration: 'underline' }}>
                                {job.title}
                            </Link>{' '}
                            <Text as="span" className="reading" color={job.passed ? 'good' : 'danger'}>
                                {job.total?.toFixed(1) ?? '–'} {job.passed ? t('passed') : t('not passed')}
                            </Text>
                        </Text>
                    ))}
                </Stack>
                <Text fontSize="fine" color="faint">
                    {t(
                        'A bar is where the true share lies with 95 % confidence (Wilson’s score interval); its mark is the mean over the jobs.',
                    )}
                </Text>
            </Stack>
        </Frame>
    )
}
