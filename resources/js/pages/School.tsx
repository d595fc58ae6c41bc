import { Box, Heading, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { router, usePage } from '@inertiajs/react'
import { useState, type FormEvent } from 'react'
import type { PersonalLink, SchoolPage } from '@/lib/types'
import { Links } from '@/people/Links'
import { AddStaff } from '@/school/AddStaff'
import { AuditLog } from '@/school/AuditLog'
import { Classes } from '@/school/Classes'
import { PeopleTable } from '@/school/PeopleTable'
import { Settled } from '@/school/Settled'
import { Frame } from '@/shell/Frame'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** What an administrator looks after: accounts, classes, what the school has settled, and what was done. */
export default function School({ people, q, found, courses, settled, mails, audit }: SchoolPage) {
    const { errors } = usePage<{ errors: Record<string, string> }>().props
    const [links, setLinks] = useState<PersonalLink[]>([])
    const [look, setLook] = useState(q)
    const onLink = (link: PersonalLink) => {
        setLinks([link])
        router.reload()
    }
    const search = (e: FormEvent) => {
        e.preventDefault()
        router.get('/school', { q: look }, { preserveState: true })
    }
    return (
        <Frame title={t('School')}>
            <Stack gap="5">
                <Heading as="h1" size="2xl">
                    {t('School')}
                </Heading>
                {Object.values(errors).map((error) => (
                    <Text key={error} role="alert" color="danger">
                        {error}
                    </Text>
                ))}
                {links.length > 0 && (
                    <Links course={t('Odd Spark')} links={links} onUndo={undefined} onClose={() => setLinks([])} />
                )}
                <Box as="section" aria-label={t('Staff')}>
                    <HStack justify="space-between" wrap="wrap" mb="2">
                        <Heading as="h2" size="lg">
                            {t('Staff')}
                        </Heading>
                        <AddStaff onAdded={onLink} mails={mails} />
                    </HStack>
                    <PeopleTable people={people} onLink={onLink} />
                </Box>
                <Box as="section" aria-label={t('Trainees')}>
                    <HStack as="form" justify="space-between" wrap="wrap" mb="2" onSubmit={search}>
                        <Heading as="h2" size="lg">
                            {t('Trainees')}
                        </Heading>
                        <HStack gap="1">
                            <Input
                                aria-label={t('Name or address of a trainee')}
                                placeholder={t('Name or address of a trainee')}
                                h="touch"
                                w="260px"
                                bg="sheet"
                                borderColor="line"
                                value={look}
                                onChange={(e) => setLook(e.target.value)}
                            />
                            <ToolButton type="submit">{t('Find')}</ToolButton>
                        </HStack>
                    </HStack>
                    {q !== '' && found.length === 0 && <Text color="faint">{t('Nobody found.')}</Text>}
                    {found.length > 0 && <PeopleTable people={found} onLink={onLink} />}
                </Box>
                <Classes courses={courses} people={people} />
                <Settled key={JSON.stringify(settled)} settled={settled} />
                <AuditLog audit={audit} />
            </Stack>
        </Frame>
    )
}
