import { Stack, Text } from '@chakra-ui/react'
import { useEffect } from 'react'
import type { ConfirmPage } from '@/lib/types'
import { useGrave } from '@/shell/grave'
import { Frame } from '@/shell/Frame'
import { MainButton } from '@/theme/buttons'
import { t } from '@/words'

/** What is grave was opened by its address: the password first. */
export default function Confirm({ to }: ConfirmPage) {
    const grave = useGrave()
    const go = () => grave(() => window.location.assign(to))
    // eslint-disable-next-line react-hooks/exhaustive-deps -- asked once, when the page opens
    useEffect(go, [])
    return (
        <Frame title={t('Your password again')}>
            <Stack gap="3" align="start">
                <Text>{t('Enter your password again to go on.')}</Text>
                <MainButton onClick={go}>{t('Go on')}</MainButton>
            </Stack>
        </Frame>
    )
}
