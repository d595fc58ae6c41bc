import { Box, Button, Field, Flex, Heading, Input, Stack, Text } from '@chakra-ui/react'
import { Head, usePage } from '@inertiajs/react'
import { useState, type FormEvent, type ReactNode } from 'react'
import { t } from '@/words'

/** A page before one is signed in: a form on its own. */
export function Door({
    title,
    tab = title,
    says,
    onSubmit,
    children,
}: {
    title: string
    /** what stands on the browser's tab, where that is another */
    tab?: string
    says?: string
    onSubmit: (e: FormEvent) => void
    children: ReactNode
}) {
    const flash = usePage<{ flash?: string | null }>().props.flash
    return (
        <Flex as="main" minH="100vh" align="center" justify="center" bg="ground" p="3">
            <Head title={`${tab} · Odd Spark`} />
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
                {flash && (
                    <Text role="status" bg="copperWash" borderRadius="md" px="3" py="2">
                        {flash}
                    </Text>
                )}
                <Box>
                    <Heading as="h1" size="2xl">
                        {title}
                    </Heading>
                    {says && <Text color="faint">{says}</Text>}
                </Box>
                {children}
            </Stack>
        </Flex>
    )
}

interface FieldProps {
    label: string
    name?: string
    hint?: string
    type?: 'text' | 'email' | 'password'
    value: string
    error: string | undefined
    complete?: string
    onChange: (value: string) => void
}

/** A field with what belongs in it, and what is wrong with it. */
export function DoorField({ label, name, hint, type = 'text', value, error, complete, onChange }: FieldProps) {
    const [shown, setShown] = useState(false)
    return (
        <Field.Root invalid={error !== undefined}>
            <Field.Label>{label}</Field.Label>
            <Input
                type={shown ? 'text' : type}
                name={name}
                h="touch"
                borderColor="line"
                autoComplete={complete ?? (type === 'password' ? 'new-password' : 'off')}
                value={value}
                onChange={(e) => onChange(e.target.value)}
            />
            {type === 'password' && (
                <Button
                    variant="plain"
                    h="tight"
                    px="0"
                    fontSize="note"
                    color="copper"
                    aria-pressed={shown}
                    onClick={() => setShown(!shown)}
                >
                    {shown ? t('Hide it') : t('Show it')}
                </Button>
            )}
            {hint && error === undefined && <Field.HelperText color="faint">{hint}</Field.HelperText>}
            <Field.ErrorText color="danger">{error}</Field.ErrorText>
        </Field.Root>
    )
}
