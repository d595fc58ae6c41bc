import { Box, Heading, HStack, Input, Stack, Table, Text } from '@chakra-ui/react'
import { router, useForm } from '@inertiajs/react'
import { useState, type FormEvent } from 'react'
import { useSent } from '@/lib/query'
import type { CourseInFull, PeoplePage, PersonalLink } from '@/lib/types'
import { ClassStaff } from '@/people/ClassStaff'
import { JoinCode } from '@/people/JoinCode'
import { Links } from '@/people/Links'
import { Roster } from '@/people/Roster'
import { Frame } from '@/shell/Frame'
import { useGrave } from '@/shell/grave'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** An instructor's classes: who is in them, and how people come in. */
export default function People({ courses, colleagues, done }: PeoplePage) {
    const [at, setAt] = useState(courses[0]?.id ?? null)
    const course = courses.find((c) => c.id === at) ?? courses[0]
    const form = useForm({ name: '' })
    const create = (e: FormEvent) => {
        e.preventDefault()
        const had = new Set(courses.map((c) => c.id))
        form.post('/courses', {
            onSuccess: (page) => {
                form.reset()
                const now = page.props.courses as PeoplePage['courses']
                setAt(now.find((c) => !had.has(c.id))?.id ?? course?.id ?? 0) // the new one is what is wanted next
            },
        })
    }
    return (
        <Frame title={t('People')}>
            <Stack gap="5">
                <HStack justify="space-between" wrap="wrap">
                    <Heading as="h1" size="2xl">
                        {t('People')}
                    </Heading>
                    <HStack as="form" gap="1" onSubmit={create}>
                        <Input
                            aria-label={t('Name of a new class')}
                            placeholder={t('Name of a new class')}
                            h="touch"
                            w="240px"
                            bg="sheet"
                            borderColor="line"
                            value={form.data.name}
                            onChange={(e) => form.setData('name', e.target.value)}
                        />
                        <MainButton type="submit" disabled={form.processing}>
                            {t('New class')}
                        </MainButton>
                    </HStack>
                </HStack>
                {form.errors.name && (
                    <Text role="alert" color="danger">
                        {form.errors.name}
                    </Text>
                )}
                {courses.length === 0 && (
                    <Text color="faint">
                        {t('No class yet. Name one above, then add people from a list or give out a join code.')}
                    </Text>
                )}
                {courses.length > 1 && (
                    <HStack gap="1" wrap="wrap" role="group" aria-label={t('Classes')}>
                        {courses.map((c) => (
                            <ToolButton key={c.id} on={c.id === course?.id} onClick={() => setAt(c.id)}>
                                {c.name} ({c.trainees.length})
                            </ToolButton>
                        ))}
                    </HStack>
                )}
                {course && <Class key={course.id} course={course} colleagues={colleagues} />}
                <details>
                    <summary>
                        <Text as="span" color="copper" fontWeight={700} cursor="pointer">
                            {t('What you did with people')}
                        </Text>
                    </summary>
                    {done.map((row, i) => (
                        <Text key={i} fontSize="note">
                            {row.at}: {row.act} · {row.of} {row.of_id} {row.more}
                        </Text>
                    ))}
                </details>
            </Stack>
        </Frame>
    )
}

function Class({ course, colleagues }: { course: CourseInFull; colleagues: PeoplePage['colleagues'] }) {
    const grave = useGrave()
    const [links, setLinks] = useState<PersonalLink[]>([])
    const [batch, setBatch] = useState<string | null>(null)
    const again = useSent<PersonalLink, { user: number }>(({ user }) => `/courses/${course.id}/trainees/${user}/link`, {
        onDone: (link) => {
            setBatch(null)
            setLinks([link])
            router.reload({ only: ['courses', 'done'] })
        },
    })
    const undo = useSent<{ people: number }, { batch: string }>(`/courses/${course.id}/roster/undo`, {
        onDone: () => {
            setBatch(null)
            setLinks([])
            router.reload({ only: ['courses', 'done'] })
        },
    })
    return (
        <Stack gap="4" as="section" aria-label={course.name}>
            <Heading as="h2" size="lg">
                {course.name}
            </Heading>
            <ClassStaff course={course} colleagues={colleagues} />
            <JoinCode course={course} />
            <Roster
                course={course.id}
                onEnrolled={(enrolled) => {
                    setLinks(enrolled.people)
                    setBatch(enrolled.batch)
                    router.reload({ only: ['courses', 'done'] })
                }}
            />
            {links.length > 0 && (
                <Links
                    course={course.name}
                    links={links}
                    onUndo={batch === null ? undefined : () => undo.mutate({ batch })}
                    onClose={() => setLinks([])}
                />
            )}
            {(again.error ?? undo.error) && (
                <Text role="alert" color="danger">
                    {(again.error ?? undo.error)?.message}
                </Text>
            )}
            <Box layerStyle="panel" overflow="hidden">
                <Table.Root size="sm">
                    <Table.Header>
                        <Table.Row bg="ground">
                            {[t('Name'), t('Signs in as'), t('Invitation'), ''].map((h) => (
                                <Table.ColumnHeader key={h} color="ink">
                                    {h}
                                </Table.ColumnHeader>
                            ))}
                        </Table.Row>
                    </Table.Header>
                    <Table.Body>
                        {course.trainees.map((p) => (
                            <Table.Row key={p.id} bg="sheet">
                                <Table.Cell fontWeight={700}>{p.name}</Table.Cell>
                                <Table.Cell className="reading">{p.signs_in_as}</Table.Cell>
                                <Table.Cell>
                                    {p.invited_until
                                        ? t('not used, good until {{until}}', { until: p.invited_until })
                                        : ''}
                                </Table.Cell>
                                <Table.Cell>
                                    <HStack gap="1" justify="flex-end">
                                        <ToolButton
                                            size="sm"
                                            aria-label={t('New link for {{name}}', { name: p.name })}
                                            onClick={() => grave(() => again.mutate({ user: p.id }))}
                                        >
                                            {t('New link')}
                                        </ToolButton>
                                        <ToolButton
                                            size="sm"
                                            aria-label={t('Remove {{name}} from the class', { name: p.name })}
                                            onClick={() => {
                                                if (
                                                    window.confirm(
                                                        t('Remove {{name}} from the class? Jobs and marks stay.', {
                                                            name: p.name,
                                                        }),
                                                    )
                                                )
                                                    router.delete(`/courses/${course.id}/trainees/${p.id}`)
                                            }}
                                        >
                                            {t('Remove')}
                                        </ToolButton>
                                    </HStack>
                                </Table.Cell>
                            </Table.Row>
                        ))}
                    </Table.Body>
                </Table.Root>
                {course.trainees.length === 0 && (
                    <Text p="4" color="faint">
                        {t('Nobody is in this class yet. Add a list, or give out a join code.')}
                    </Text>
                )}
            </Box>
        </Stack>
    )
}
