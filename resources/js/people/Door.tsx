import { Field, Flex, Heading, Input, Stack } from '@chakra-ui/react'
import { Head } from '@inertiajs/react'
import type { FormEvent, ReactNode } from 'react'

/** A page before one is signed in: a form on its own. */
export function Door({
    title,
    onSubmit,
    children,
}: {
    title: string
    onSubmit: (e: FormEvent) => void
    children: ReactNode
}) {
    return (
        <Flex as="main" minH="100vh" align="center" justify="center" bg="ground" p="3">
            <Head title={`${title} · Odd Spark`} />
            <Stack
                as="form"
                onSubmit={onSubmit}
                gap="4"
                w="420px"
                maxW="100%"
                bg="sheet"
                p="8"
                borderRadius="lg"
                borderWidth="1px"
                borderColor="line"
            >
                <Heading as="h1" size="2xl">
                    {title}
                </Heading>
                {children}
            </Stack>
        </Flex>
    )
}

interface FieldProps {
    label: string
    hint?: string
    type?: 'text' | 'email' | 'password'
    value: string
    error: string | undefined
    complete?: string
    onChange: (value: string) => void
}

/** A field with what belongs in it, and what is wrong with it. */
export function DoorField({ label, hint, type = 'text', value, error, complete, onChange }: FieldProps) {
    return (
        <Field.Root invalid={error !== undefined}>
            <Field.Label>{label}</Field.Label>
            <Input
                type={type}
                h="touch"
                borderColor="line"
                autoComplete={complete ?? (type === 'password' ? 'new-password' : 'off')}
                value={value}
                onChange={(e) => onChange(e.target.value)}
            />
            {hint && error === undefined && <Field.HelperText color="faint">{hint}</Field.HelperText>}
            <Field.ErrorText color="danger">{error}</Field.ErrorText>
        </Field.Root>
    )
}
