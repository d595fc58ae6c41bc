import { Box, HStack, Input, Text } from '@chakra-ui/react'
import { t } from '@/words'

export function Label({ text, children }: { text: string; children: React.ReactNode }) {
    return (
        <Box>
            <Text fontSize="text">{text}</Text>
            {children}
        </Box>
    )
}

/** A figure beside its name. */
export function Figure({
    label,
    value,
    onChange,
    hint,
    step = '1',
}: {
    label: string
    value: number
    onChange: (v: number) => void
    hint?: string
    step?: string
}) {
    return (
        <HStack justify="space-between">
            <Text fontSize="text" flex="1">
                {label}
            </Text>
            {hint && (
                <Text className="reading" fontSize="note" color="faint">
                    {hint}
                </Text>
            )}
            <Input
                type="number"
                step={step}
                aria-label={label}
                className="reading"
                w="88px"
                h="row"
                textAlign="right"
                borderColor="line"
                value={value}
                onChange={(e) => onChange(e.target.value === '' ? 0 : Number(e.target.value))}
            />
        </HStack>
    )
}

/** Many ticks under one heading, folded away until they are wanted; how many are on is always said. */
export function Folded({
    title,
    on,
    of,
    children,
}: {
    title: string
    on: number
    of: number
    children: React.ReactNode
}) {
    return (
        <Box as="details">
            <Box as="summary" cursor="pointer" minH="touch" fontWeight={700} fontSize="text" alignContent="center">
                {t('{{title}}: {{on}} of {{of}}', { title, on, of })}
            </Box>
            {children}
        </Box>
    )
}
