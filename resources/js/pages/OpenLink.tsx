import { Text } from '@chakra-ui/react'
import { Link, useForm } from '@inertiajs/react'
import type { FormEvent } from 'react'
import type { OpenLinkPage } from '@/lib/types'
import { Door, DoorField } from '@/people/Door'
import { MainButton } from '@/theme/buttons'
import { t } from '@/words'

/** By a link of one's own: a password is set, once. */
export default function OpenLink({ token, least, who }: OpenLinkPage) {
    const form = useForm({ password: '' })
    const submit = (e: FormEvent) => {
        e.preventDefault()
        form.post(`/link/${token}`)
    }
    if (!who)
        return (
            <Door title={t('This link is closed')} onSubmit={(e) => e.preventDefault()}>
                <Text>{t('It has been used, or it has expired. Ask your instructor for a new one.')}</Text>
                <Link href="/login" style={{ textDecoration: 'underline' }}>
                    {t('Sign in')}
                </Link>
            </Door>
        )
    return (
        <Door title={t('Welcome, {{name}}', { name: who.name })} onSubmit={submit}>
            <Text>{t('You sign in as {{signs_in_as}}. Choose a password.', { signs_in_as: who.signs_in_as })}</Text>
            <DoorField
                label={t('Password')}
                hint={t('At least {{least}} characters; several words make a good one.', { least })}
                type="password"
                value={form.data.password}
                error={form.errors.password}
                onChange={(v) => form.setData('password', v)}
            />
            <MainButton type="submit" disabled={form.processing}>
                {t('Keep it and go on')}
            </MainButton>
        </Door>
    )
}
