import { Box, HStack, Stack, Text } from '@chakra-ui/react'
import { useState, type ReactNode } from 'react'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

const KEY = 'odd-spark-first-steps'

interface Props {
    title: string
    /** what to do, in order */
    steps: string[]
    children?: ReactNode
}

/** What a first visit needs to know; laid aside on this device when it has been understood. */
export function FirstSteps({ title, steps, children }: Props) {
    const [seen, setSeen] = useState(() => {
        try {
            return localStorage.getItem(KEY) !== null
        } catch {
            return false // a device that keeps nothing shows them again
        }
    })
    if (seen) return null
    const lay = () => {
        try {
            localStorage.setItem(KEY, 'seen')
        } catch {
            // shown again the next time
        }
        setSeen(true)
    }
    return (
        <Stack as="section" aria-label={title} gap="2" bg="copperWash" borderRadius="md" p="4">
            <Text fontWeight={700}>{title}</Text>
            <Box as="ol" ps="5" listStyleType="decimal">
                {steps.map((step) => (
                    <li key={step}>{t(step)}</li>
                ))}
            </Box>
            <HStack gap="2">
                {children}
                <ToolButton size="sm" onClick={lay}>
                    {t('Understood')}
                </ToolButton>
            </HStack>
        </Stack>
    )
}
