import { Box, Field, Flex, Heading, Input, Stack, Text } from '@chakra-ui/react'
import { Head, Link, useForm } from '@inertiajs/react'
import type { FormEvent } from 'react'
import { MainButton } from '@/theme/buttons'
import { t } from '@/words'

export default function SignIn() {
    const form = useForm({ email: '', password: '' })
    const submit = (e: FormEvent) => {
        e.preventDefault()
        form.post('/login', { onFinish: () => form.reset('password') })
    }
    return (
        <Flex as="main" minH="100vh" align="center" justify="center" bg="ground">
            <Head title={t('Sign in · Odd Spark')} />
            <Stack
                as="form"
                onSubmit={submit}
                gap="4"
                w="400px"
                bg="sheet"
                p="8"
                borderRadius="lg"
                borderWidth="1px"
                borderColor="line"
            >
                <Box>
                    <Heading as="h1" size="2xl">
                        {t('Odd Spark')}
                    </Heading>
                    <Text color="faint">{t('Find the fault before you touch the part.')}</Text>
                </Box>
                <Field.Root invalid={!!form.errors.email}>
                    <Field.Label>{t('Mail address or sign-in name')}</Field.Label>
                    <Input
                        name="email"
                        autoComplete="username"
                        h="touch"
                        borderColor="line"
                        value={form.data.email}
                        onChange={(e) => form.setData('email', e.target.value)}
                    />
                    <Field.ErrorText color="danger">{form.errors.email}</Field.ErrorText>
                </Field.Root>
                <Field.Root invalid={!!form.errors.password}>
                    <Field.Label>{t('Password')}</Field.Label>
                    <Input
                        type="password"
                        name="password"
                        autoComplete="current-password"
                        h="touch"
                        borderColor="line"
                        value={form.data.password}
                        onChange={(e) => form.setData('password', e.target.value)}
                    />
                    <Field.ErrorText color="danger">{form.errors.password}</Field.ErrorText>
                </Field.Root>
                <MainButton type="submit" disabled={form.processing}>
                    {t('Sign in')}
                </MainButton>
                <Text fontSize="text">
                    <Link href="/join" style={{ textDecoration: 'underline' }}>
                        {t('I have the code of a class: join')}
                    </Link>
                </Text>
            </Stack>
        </Flex>
    )
}
