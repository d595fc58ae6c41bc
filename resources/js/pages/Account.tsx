import { Box, Heading, HStack, Stack, Text } from '@chakra-ui/react'
import { router, useForm, usePage } from '@inertiajs/react'
import type { FormEvent } from 'react'
import type { AccountPage, Me } from '@/lib/types'
import { DoorField } from '@/people/Door'
import { SecondFactor } from '@/people/SecondFactor'
import { Frame } from '@/shell/Frame'
import { useGrave } from '@/shell/grave'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** One's own account: password, classes, and where one is signed in. */
export default function Account({ signs_in_as, least, courses, second_factor, sessions }: AccountPage) {
    const me = usePage<{ me: Me }>().props.me
    const grave = useGrave()
    const password = useForm({ current_password: '', password: '' })
    const elsewhere = useForm({ current_password: '' })
    const code = useForm({ code: '' })
    const send =
        (form: { post: (url: string, o: { onSuccess: () => void }) => void; reset: () => void }, url: string) =>
        (e: FormEvent) => {
            e.preventDefault()
            form.post(url, { onSuccess: () => form.reset() })
        }
    return (
        <Frame title={t('Account')}>
            <Stack gap="6" maxW="560px">
                <Box>
                    <Heading as="h1" size="2xl">
                        {me.name}
                    </Heading>
                    <Text color="faint">{t('You sign in as {{signs_in_as}}.', { signs_in_as })}</Text>
                </Box>
                <Stack as="form" layerStyle="panel" p="4" gap="3" onSubmit={send(password, '/account/password')}>
                    <Heading as="h2" size="md">
                        {t('Password')}
                    </Heading>
                    <DoorField
                        label={t('Password now')}
                        type="password"
                        complete="current-password"
                        value={password.data.current_password}
                        error={password.errors.current_password}
                        onChange={(v) => password.setData('current_password', v)}
                    />
                    <DoorField
                        label={t('New password')}
                        hint={t('At least {{least}} characters; several words make a good one.', { least })}
                        type="password"
                        value={password.data.password}
                        error={password.errors.password}
                        onChange={(v) => password.setData('password', v)}
                    />
                    <MainButton type="submit" alignSelf="flex-start" disabled={password.processing}>
                        {t('Change password')}
                    </MainButton>
                </Stack>
                {second_factor.offered && <SecondFactor factor={second_factor} />}
                {me.role === 'trainee' && (
                    <Stack as="form" layerStyle="panel" p="4" gap="3" onSubmit={send(code, '/account/join')}>
                        <Heading as="h2" size="md">
                            {t('Classes')}
                        </Heading>
                        <Text>{courses.length === 0 ? t('You are in no class yet.') : courses.join(', ')}</Text>
                        <DoorField
                            label={t('Code of another class')}
                            value={code.data.code}
                            error={code.errors.code}
                            onChange={(v) => code.setData('code', v)}
                        />
                        <ToolButton type="submit" alignSelf="flex-start">
                            {t('Join')}
                        </ToolButton>
                    </Stack>
                )}
                <Stack
                    as="form"
                    layerStyle="panel"
                    p="4"
                    gap="3"
                    onSubmit={send(elsewhere, '/account/sign-out-elsewhere')}
                >
                    <Heading as="h2" size="md">
                        {t('Signed in')}
                    </Heading>
                    {sessions.map((s) => (
                        <HStack key={s.key} justify="space-between">
                            <Text fontSize="text">
                                {s.here ? t('here') : s.from}, {s.last}
                                <Text as="span" color="faint" display="block" fontSize="note">
                                    {s.with}
                                </Text>
                            </Text>
                            {!s.here && (
                                <ToolButton
                                    size="sm"
                                    onClick={() => grave(() => router.delete(`/account/sessions/${s.key}`))}
                                >
                                    {t('End')}
                                </ToolButton>
                            )}
                        </HStack>
                    ))}
                    <DoorField
                        label={t('Password now')}
                        type="password"
                        complete="current-password"
                        value={elsewhere.data.current_password}
                        error={elsewhere.errors.current_password}
                        onChange={(v) => elsewhere.setData('current_password', v)}
                    />
                    <ToolButton type="submit" alignSelf="flex-start">
                        {t('Sign out everywhere else')}
                    </ToolButton>
                </Stack>
            </Stack>
        </Frame>
    )
}
