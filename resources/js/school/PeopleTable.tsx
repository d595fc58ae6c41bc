import { Box, HStack, Table, Text } from '@chakra-ui/react'
import { router, usePage } from '@inertiajs/react'
import { useSent } from '@/lib/query'
import type { Me, Person, PersonalLink } from '@/lib/types'
import { useGrave } from '@/shell/grave'
import { ToolButton } from '@/theme/buttons'
import { Select } from '@/shell/Select'
import { t } from '@/words'
import { ROLES, titleOf } from './roles'

/** Accounts, and what can be done with each. */
export function PeopleTable({ people, onLink }: { people: Person[]; onLink: (link: PersonalLink) => void }) {
    return (
        <Box layerStyle="panel" overflowX="auto">
            <Table.Root size="sm">
                <Table.Header>
                    <Table.Row bg="ground">
                        {[t('Name'), t('Role'), t('Second factor'), t('Last sign-in'), ''].map((h) => (
                            <Table.ColumnHeader key={h} color="ink">
                                {h}
                            </Table.ColumnHeader>
                        ))}
                    </Table.Row>
                </Table.Header>
                <Table.Body>
                    {people.map((p) => (
                        <Row key={p.id} person={p} onLink={onLink} />
                    ))}
                </Table.Body>
            </Table.Root>
        </Box>
    )
}

function Row({ person, onLink }: { person: Person; onLink: (link: PersonalLink) => void }) {
    const me = usePage<{ me: Me }>().props.me
    const grave = useGrave()
    const link = useSent<PersonalLink>(`/school/people/${person.id}/link`, { onDone: onLink })
    const self = me.id === person.id
    const post = (what: string, body: Record<string, string | boolean>) =>
        grave(() => router.post(`/school/people/${person.id}/${what}`, body, { preserveScroll: true }))
    const forget = (keep: boolean) => {
        const question = keep
            ? t('Remove the name of {{name}}? The marks stay, under a number. This cannot be undone.', {
                  name: person.name,
              })
            : t('Delete {{name}} and all their work and marks? This cannot be undone.', { name: person.name })
        if (window.confirm(question)) post('forget', { keep_marks: keep })
    }
    return (
        <Table.Row bg="sheet" opacity={person.closed ? 0.7 : undefined}>
            <Table.Cell>
                <Text fontWeight={700}>
                    {person.name} {person.closed && t('(closed)')}
                </Text>
                <Text className="reading" fontSize="note">
                    {person.signs_in_as} · {person.id}
                </Text>
            </Table.Cell>
            <Table.Cell>
                {person.role === 'trainee' || self ? (
                    t(titleOf(person.role))
                ) : (
                    <Select
                        w="150px"
                        label={t('Role of {{name}}', { name: person.name })}
                        value={person.role}
                        options={ROLES.filter((r) => r.id !== 'trainee').map((r): [string, string] => [
                            r.id,
                            t(r.title),
                        ])}
                        onChange={(role) => post('role', { role })}
                    />
                )}
            </Table.Cell>
            <Table.Cell>{person.second_factor ? t('on') : '–'}</Table.Cell>
            <Table.Cell>{person.seen ?? t('never')}</Table.Cell>
            <Table.Cell>
                <HStack gap="1" justify="flex-end" wrap="wrap">
                    <ToolButton size="sm" onClick={() => grave(() => link.mutate())}>
                        {t('New link')}
                    </ToolButton>
                    {person.second_factor && !self && (
                        <ToolButton
                            size="sm"
                            onClick={() =>
                                grave(() =>
                                    router.delete(`/school/people/${person.id}/second-factor`, {
                                        preserveScroll: true,
                                    }),
                                )
                            }
                        >
                            {t('Remove second factor')}
                        </ToolButton>
                    )}
                    {!self && (
                        <ToolButton size="sm" onClick={() => post('closed', { closed: !person.closed })}>
                            {person.closed ? t('Open again') : t('Close')}
                        </ToolButton>
                    )}
                    <ToolButton
                        size="sm"
                        onClick={() => grave(() => window.location.assign(`/school/people/${person.id}/data.json`))}
                    >
                        {t('Data')}
                    </ToolButton>
                    {!self && (
                        <ToolButton size="sm" onClick={() => forget(true)}>
                            {t('Remove name')}
                        </ToolButton>
                    )}
                    {!self && person.role === 'trainee' && (
                        <ToolButton size="sm" color="danger" onClick={() => forget(false)}>
                            {t('Delete')}
                        </ToolButton>
                    )}
                </HStack>
                {link.error && (
                    <Text role="alert" color="danger">
                        {link.error.message}
                    </Text>
                )}
            </Table.Cell>
        </Table.Row>
    )
}
