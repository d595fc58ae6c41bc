import { HStack, Stack, Text } from '@chakra-ui/react'
import { useState, type FormEvent } from 'react'
import { useSent } from '@/lib/query'
import type { Person, PersonalLink } from '@/lib/types'
import { DoorField } from '@/people/Door'
import { useGrave } from '@/shell/grave'
import { MainButton, ToolButton } from '@/theme/buttons'
import { Select } from '@/shell/Select'
import { t } from '@/words'
import { ROLES } from './roles'

const NOBODY = { name: '', mail: '', role: 'instructor' as Person['role'] }

/** Somebody new on the staff, who comes in by a link. */
export function AddStaff({ onAdded, mails }: { onAdded: (link: PersonalLink) => void; mails: boolean }) {
    const grave = useGrave()
    const [open, setOpen] = useState(false)
    const [who, setWho] = useState(NOBODY)
    const add = useSent<PersonalLink, typeof NOBODY>('/school/people', {
        onDone: (link) => {
            setOpen(false)
            setWho(NOBODY)
            onAdded(link)
        },
    })
    const submit = (e: FormEvent) => {
        e.preventDefault()
        grave(() => add.mutate(who))
    }
    if (!open) return <ToolButton onClick={() => setOpen(true)}>{t('Add somebody')}</ToolButton>
    return (
        <Stack as="form" layerStyle="panel" p="4" gap="3" w="100%" maxW="560px" onSubmit={submit}>
            <DoorField
                label={t('Name')}
                value={who.name}
                error={add.error?.message}
                onChange={(name) => setWho({ ...who, name })}
            />
            <DoorField
                label={t('Mail address')}
                hint={
                    mails
                        ? t('The link is mailed there, and shown here.')
                        : t('The link will be shown here. Pass it on to the person.')
                }
                type="email"
                value={who.mail}
                error={undefined}
                onChange={(mail) => setWho({ ...who, mail })}
            />
            <Select
                label={t('What the person is')}
                value={who.role}
                options={ROLES.filter((r) => r.id !== 'trainee').map((r): [string, string] => [r.id, t(r.title)])}
                onChange={(role) => setWho({ ...who, role: role as Person['role'] })}
            />
            <Text fontSize="text" color="faint">
                {t(ROLES.find((r) => r.id === who.role)?.says ?? '')}
            </Text>
            <HStack>
                <MainButton type="submit" disabled={add.isPending}>
                    {t('Add')}
                </MainButton>
                <ToolButton onClick={() => setOpen(false)}>{t('Cancel')}</ToolButton>
            </HStack>
        </Stack>
    )
}
