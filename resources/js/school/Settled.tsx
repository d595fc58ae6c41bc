import { Checkbox, Heading, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import { useState, type FormEvent } from 'react'
import type { Person, Settled as SettledForAll } from '@/lib/types'
import { useGrave } from '@/shell/grave'
import { MainButton } from '@/theme/buttons'
import { t } from '@/words'
import { ROLES } from './roles'

/** What holds for everybody: second factor of staff, time without work, how long names are kept. */
export function Settled({ settled }: { settled: SettledForAll }) {
    const grave = useGrave()
    const [now, setNow] = useState(settled)
    const submit = (e: FormEvent) => {
        e.preventDefault()
        grave(() => router.post('/school/settled', { ...now }, { preserveScroll: true }))
    }
    const number = (value: number, label: string, set: (v: number) => void) => (
        <HStack asChild gap="2">
            <label>
                <Input
                    type="number"
                    h="touch"
                    w="90px"
                    bg="sheet"
                    borderColor="line"
                    value={value}
                    onChange={(e) => set(Number(e.target.value))}
                />
                <Text as="span">{label}</Text>
            </label>
        </HStack>
    )
    return (
        <Stack as="form" layerStyle="panel" p="4" gap="3" onSubmit={submit} aria-label={t('School settings')}>
            <Heading as="h2" size="md">
                {t('School settings')}
            </Heading>
            <Checkbox.Root
                checked={now.second_factor === 'asked'}
                onCheckedChange={(e) => setNow({ ...now, second_factor: e.checked === true ? 'asked' : 'offered' })}
            >
                <Checkbox.HiddenInput />
                <Checkbox.Control borderColor="line" />
                <Checkbox.Label>{t('Staff must have a second factor')}</Checkbox.Label>
            </Checkbox.Root>
            <Text>{t('Sign out after this many idle minutes:')}</Text>
            <HStack gap="4" wrap="wrap">
                {ROLES.map((r) => (
                    <span key={r.id}>
                        {number(now.idle_minutes[r.id as Person['role']], t(r.title), (v) =>
                            setNow({ ...now, idle_minutes: { ...now.idle_minutes, [r.id]: v } }),
                        )}
                    </span>
                ))}
            </HStack>
            {number(
                now.keep_months,
                t('months before the names of trainees who no longer sign in are removed; 0: never'),
                (v) => setNow({ ...now, keep_months: v }),
            )}
            <MainButton type="submit" alignSelf="flex-start">
                {t('Save')}
            </MainButton>
        </Stack>
    )
}
