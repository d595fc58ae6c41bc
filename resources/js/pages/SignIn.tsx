import { Text } from '@chakra-ui/react'
import { Link, router, useForm } from '@inertiajs/react'
import type { FormEvent } from 'react'
import type { SignInPage } from '@/lib/types'
import { Door, DoorField } from '@/people/Door'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

export default function SignIn({ mails }: SignInPage) {
    const form = useForm({ email: '', password: '' })
    const submit = (e: FormEvent) => {
        e.preventDefault()
        form.post('/login', { onFinish: () => form.reset('password') })
    }
    return (
        <Door
            title={t('Odd Spark')}
            tab={t('Sign in')}
            says={t('Find the fault before you touch the part.')}
            onSubmit={submit}
        >
            <DoorField
                label={t('Mail address or sign-in name')}
                name="email"
                complete="username"
                value={form.data.email}
                error={form.errors.email}
                onChange={(v) => form.setData('email', v)}
            />
            <DoorField
                label={t('Password')}
                name="password"
                type="password"
                complete="current-password"
                value={form.data.password}
                error={form.errors.password}
                onChange={(v) => form.setData('password', v)}
            />
            <MainButton type="submit" disabled={form.processing}>
                {t('Sign in')}
            </MainButton>
            {mails && (
                <ToolButton
                    onClick={() =>
                        router.post(
                            '/forgot',
                            { email: form.data.email },
                            { onError: (e) => form.setError(e as never) },
                        )
                    }
                >
                    {t('Mail me a link to set a new password')}
                </ToolButton>
            )}
            <Text fontSize="text">
                <Link href="/join" style={{ textDecoration: 'underline' }}>
                    {t('I have the code of a class: join')}
                </Link>
            </Text>
        </Door>
    )
}
