import { Box, Heading, HStack, Stack, Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import { QRCodeSVG } from 'qrcode.react'
import { useState, type FormEvent } from 'react'
import { useSent } from '@/lib/query'
import type { AccountPage, ProposedFactor, RecoveryCodes } from '@/lib/types'
import { useGrave } from '@/shell/grave'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'
import { DoorField } from './Door'

/** A code from an authenticator beside the password: set up, its codes on paper, taken away. */
export function SecondFactor({ factor }: { factor: AccountPage['second_factor'] }) {
    const grave = useGrave()
    const [code, setCode] = useState('')
    const [codes, setCodes] = useState<string[] | null>(null)
    const propose = useSent<ProposedFactor>('/account/second-factor')
    const show = (reply: RecoveryCodes) => {
        setCodes(reply.codes)
        setCode('')
        propose.reset()
        router.reload()
    }
    const prove = useSent<RecoveryCodes, { code: string }>('/account/second-factor/prove', { onDone: show })
    const again = useSent<RecoveryCodes>('/account/second-factor/codes', { onDone: show })
    const submit = (e: FormEvent) => {
        e.preventDefault()
        prove.mutate({ code })
    }
    return (
        <Stack as="section" layerStyle="panel" p="4" gap="3" aria-label={t('Second factor')}>
            <Heading as="h2" size="md">
                {t('Second factor')}
            </Heading>
            <Text>
                {factor.since === null
                    ? t('Adds a code from your phone to your password, so a stolen password is not enough.')
                    : t('On since {{since}}. Backup codes left: {{left}}.', {
                          since: factor.since,
                          left: factor.codes_left,
                      })}
            </Text>
            {codes && (
                <Box bg="copperWash" borderRadius="md" p="3">
                    <Text fontWeight={700}>
                        {t('Print these backup codes and keep them away from your phone. Each one signs you in once.')}
                    </Text>
                    <Box className="printed" columnCount={2} my="2">
                        {codes.map((c) => (
                            <Text key={c} className="reading" data-testid="recovery-code">
                                {c}
                            </Text>
                        ))}
                    </Box>
                    <HStack gap="1">
                        <ToolButton onClick={() => window.print()}>{t('Print')}</ToolButton>
                        <ToolButton onClick={() => setCodes(null)}>{t('I have them')}</ToolButton>
                    </HStack>
                </Box>
            )}
            {propose.data && (
                <Stack as="form" gap="3" onSubmit={submit}>
                    <Text>
                        {t(
                            'Scan this with your authenticator app, or type in the key. Then enter the code the app shows.',
                        )}
                    </Text>
                    <Box bg="white" p="3" alignSelf="flex-start" borderRadius="md">
                        <QRCodeSVG value={propose.data.uri} size={180} title={t('Key for the authenticator')} />
                    </Box>
                    <Text className="reading" overflowWrap="anywhere" data-testid="factor-key">
                        {propose.data.key.replace(/(.{4})/g, '$1 ')}
                    </Text>
                    <DoorField
                        label={t('Code')}
                        complete="one-time-code"
                        value={code}
                        error={prove.error?.message}
                        onChange={setCode}
                    />
                    <MainButton type="submit" alignSelf="flex-start" disabled={prove.isPending}>
                        {t('Turn it on')}
                    </MainButton>
                </Stack>
            )}
            {(propose.error ?? again.error) && (
                <Text role="alert" color="danger">
                    {(propose.error ?? again.error)?.message}
                </Text>
            )}
            <HStack gap="1" wrap="wrap">
                {!propose.data && (
                    <ToolButton onClick={() => grave(() => propose.mutate())}>
                        {factor.since === null ? t('Set it up') : t('Move it to another phone')}
                    </ToolButton>
                )}
                {factor.since !== null && (
                    <>
                        <ToolButton onClick={() => grave(() => again.mutate())}>{t('New backup codes')}</ToolButton>
                        <ToolButton onClick={() => grave(() => router.delete('/account/second-factor'))}>
                            {t('Turn it off')}
                        </ToolButton>
                    </>
                )}
            </HStack>
        </Stack>
    )
}
