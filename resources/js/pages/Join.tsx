import { Text } from '@chakra-ui/react'
import { Link, useForm } from '@inertiajs/react'
import type { FormEvent } from 'react'
import { Door, DoorField } from '@/people/Door'
import { MainButton } from '@/theme/buttons'
import { t } from '@/words'

/** Into a class with its code: a new account. */
export default function Join({ least }: { least: number }) {
    const form = useForm({ code: '', name: '', mail: '', password: '' })
    const submit = (e: FormEvent) => {
        e.preventDefault()
        form.post('/join')
    }
    return (
        <Door title={t('Join a class')} onSubmit={submit}>
            <DoorField
                label={t('Code of the class')}
                value={form.data.code}
                error={form.errors.code}
                onChange={(v) => form.setData('code', v)}
            />
            <DoorField
                label={t('Name')}
                hint={t('A nickname is fine; your instructor sees it.')}
                value={form.data.name}
                error={form.errors.name}
                onChange={(v) => form.setData('name', v)}
            />
            <DoorField
                label={t('Mail address, if you like')}
                hint={t('Without one you get a name to sign in with.')}
                type="email"
                value={form.data.mail}
                error={form.errors.mail}
                onChange={(v) => form.setData('mail', v)}
            />
            <DoorField
                label={t('Password')}
                hint={t('At least {{least}} characters; several words make a good one.', { least })}
                type="password"
                value={form.data.password}
                error={form.errors.password}
                onChange={(v) => form.setData('password', v)}
            />
            <MainButton type="submit" disabled={form.processing}>
                {t('Join')}
            </MainButton>
            <Text fontSize="text">
                <Link href="/login" style={{ textDecoration: 'underline' }}>
                    {t('I have an account: sign in')}
                </Link>
            </Text>
        </Door>
    )
}
