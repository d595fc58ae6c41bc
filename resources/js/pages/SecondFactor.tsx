import { Text } from '@chakra-ui/react'
import { Link, useForm } from '@inertiajs/react'
import type { FormEvent } from 'react'
import type { SecondFactorPage } from '@/lib/types'
import { Door, DoorField } from '@/people/Door'
import { MainButton } from '@/theme/buttons'
import { t } from '@/words'

/** The second factor, after the password was right. */
export default function SecondFactor({ digits }: SecondFactorPage) {
    const form = useForm({ code: '' })
    const submit = (e: FormEvent) => {
        e.preventDefault()
        form.post('/login/second', { onError: () => form.reset() })
    }
    return (
        <Door title={t('Second factor')} onSubmit={submit}>
            <DoorField
                label={t('Code')}
                hint={t('The {{digits}}-digit code from your authenticator app, or a backup code.', { digits })}
                complete="one-time-code"
                value={form.data.code}
                error={form.errors.code}
                onChange={(v) => form.setData('code', v)}
            />
            <MainButton type="submit" disabled={form.processing}>
                {t('Sign in')}
            </MainButton>
            <Text fontSize="text">
                <Link href="/login" style={{ textDecoration: 'underline' }}>
                    {t('Sign in as somebody else')}
                </Link>
            </Text>
        </Door>
    )
}
