import { Box, HStack, Input, Text } from '@chakra-ui/react'
import { useEffect, useState } from 'react'

interface Props {
    label: string
    value: string | number
    unit?: string
    hint?: string
    number?: boolean
    onSet: (value: string) => void
    w?: string
}

/** A field that is set when it is left, or on Enter; Escape puts back what was there. */
export function Field({ label, value, unit, hint, number, onSet, w }: Props) {
    const [text, setText] = useState(String(value))
    useEffect(() => setText(String(value)), [value])
    const set = () => {
        if (text !== String(value)) onSet(text)
    }
    return (
        <Box>
            <Text fontSize="note">{label}</Text>
            <HStack gap="1">
                <Input
                    aria-label={label}
                    h="row"
                    w={w ?? (number ? '96px' : '100%')}
                    px="2"
                    borderColor="line"
                    inputMode={number ? 'decimal' : undefined}
                    value={text}
                    onChange={(e) => setText(e.target.value)}
                    onBlur={set}
                    onKeyDown={(e) => {
                        if (e.key === 'Enter') set()
                        if (e.key === 'Escape') setText(String(value))
                    }}
                />
                {unit && (
                    <Text fontSize="note" color="faint">
                        {unit}
                    </Text>
                )}
            </HStack>
            {hint && (
                <Text fontSize="fine" color="faint">
                    {hint}
                </Text>
            )}
        </Box>
    )
}

/** A figure as it was typed: a number where it is one, nothing where it is empty. */
export function figure(text: string): number | string | null {
    const t = text.trim().replace(',', '.')
    if (t === '') return null
    const n = Number(t)
    return Number.isFinite(n) ? n : text.trim()
}
