import { Button, Grid, Heading, Stack, Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import { SharedWith } from '@/people/SharedWith'
import { Frame } from '@/shell/Frame'
import { HowJudged } from '@/shell/HowJudged'
import { Editor } from '@/rules/Editor'
import type { RulesPage } from '@/lib/types'
import { t } from '@/words'

/**
 * House rules: what each line weighs, what a pass is, which school is followed. Saved as the next version; old marks
 * keep theirs.
 */
export default function Rules({
    sets,
    chosen,
    lines,
    other_work,
    caps,
    dangers,
    barrable,
    schools,
    questions,
    courses,
}: RulesPage) {
    const set = sets.find((s) => s.document.name === chosen) ?? sets[0]!
    return (
        <Frame title={t('House rules')} full>
            <Grid h="100%" gap="2" templateColumns="250px minmax(0,1fr)">
                <Stack layerStyle="panel" gap="1" p="2" overflowY="auto">
                    <Heading as="h1" size="md" mb="1">
                        {t('House rules')}
                    </Heading>
                    {sets.map((s) => (
                        <Button
                            key={s.id}
                            variant="ghost"
                            h="auto"
                            minH="52px"
                            py="1"
                            px="2"
                            display="block"
                            textAlign="left"
                            whiteSpace="normal"
                            color="ink"
                            fontWeight={400}
                            bg={s === set ? 'copperWash' : undefined}
                            aria-pressed={s === set}
                            onClick={() => router.visit(`/rules?set=${s.document.name}`, { preserveScroll: true })}
                        >
                            <Text fontWeight={700}>{s.document.title}</Text>
                            <Text fontSize="note" color="faint">
                                {t('version')} {s.document.version}
                                {s.shipped ? t(', comes with the program') : ''}
                            </Text>
                        </Button>
                    ))}
                    {set.mine && (
                        <SharedWith
                            of="rules"
                            name={set.document.name}
                            title={set.document.title}
                            shares={set.shares}
                            courses={courses}
                        />
                    )}
                    <Text fontSize="note" color="faint" mt="2">
                        {t(
                            'A job keeps the version that it was given under; so does each mark. To mark again under other rules, open the job.',
                        )}
                    </Text>
                    <HowJudged />
                </Stack>
                <Editor
                    key={set.id}
                    set={set}
                    lines={lines}
                    other_work={other_work}
                    caps={caps}
                    dangers={dangers}
                    barrable={barrable}
                    schools={schools}
                    questions={questions}
                />
            </Grid>
        </Frame>
    )
}
