import { Box, HStack, Input, Text } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import type { Part } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** A switch, dial or knob of a part: where it is known to stand, and what it can be set to. */
export function Lever({
    control,
    known,
    onSet,
}: {
    control: Part['controls'][number]
    known: string | undefined
    onSet: (to: string | number) => void
}) {
    const [value, setValue] = useState(String(control.at))
    useEffect(() => setValue(known ? String(parseFloat(known)) : String(control.at)), [known, control.at])
    return (
        <Box>
            <Text fontSize="note" color="faint">
                {control.label}
                {known === undefined ? t(' (not looked at yet)') : ''}
            </Text>
            {control.positions ? (
                <HStack gap="1" role="group" aria-label={control.label}>
                    {control.positions.map((p) => (
                        <ToolButton key={p} flex="1" px="1" on={known === p} onClick={() => onSet(p)}>
                            {p}
                        </ToolButton>
                    ))}
                </HStack>
            ) : (
                <HStack gap="1">
                    <Input
                        h="touch"
                        type="number"
                        aria-label={control.label}
                        min={control.range?.[0]}
                        max={control.range?.[1]}
                        value={value}
                        onChange={(e) => setValue(e.target.value)}
                        borderColor="line"
                    />
                    <Text fontSize="text">{control.unit}</Text>
                    <ToolButton onClick={() => onSet(Number(value))}>{t('Set')}</ToolButton>
                </HStack>
            )}
        </Box>
    )
}
