import { Box, Checkbox, Popover, Stack, Text, Portal } from '@chakra-ui/react'
import { useLook, type Look } from './look'
import { Select } from './Select'
import { ToolButton } from '@/theme/buttons'

/** Light or dark, more contrast, and the units that one reads best: for this device. */
export function LookMenu() {
    const [look, change] = useLook()
    return (
        <Popover.Root positioning={{ placement: 'bottom-end' }}>
            <Popover.Trigger asChild>
                <ToolButton size="sm" h="tight" aria-label="How it looks, and units">
                    Aa °
                </ToolButton>
            </Popover.Trigger>
            <Portal>
                <Popover.Positioner>
                    <Popover.Content
                        bg="sheet"
                        borderWidth="1px"
                        borderColor="line"
                        w="260px"
                        p="3"
                        aria-label="How it looks, and units"
                    >
                        <Stack gap="2">
                            <Choice
                                label="Theme"
                                value={look.theme}
                                options={[
                                    ['device', 'as this device has it'],
                                    ['light', 'light'],
                                    ['dark', 'dark'],
                                ]}
                                onChange={(v) => change({ theme: v as Look['theme'] })}
                            />
                            <Choice
                                label="Degrees and pressures"
                                value={look.units}
                                options={[
                                    ['given', 'as the appliance has them'],
                                    ['metric', '°C and Pa'],
                                    ['imperial', '°F and in. w.c.'],
                                ]}
                                onChange={(v) => change({ units: v as Look['units'] })}
                            />
                            <Checkbox.Root
                                checked={look.contrast}
                                minH="touch"
                                onCheckedChange={({ checked }) => change({ contrast: checked === true })}
                            >
                                <Checkbox.HiddenInput />
                                <Checkbox.Control
                                    borderColor="faint"
                                    _checked={{ bg: 'copper', borderColor: 'copper', color: 'onCopper' }}
                                />
                                <Checkbox.Label fontSize="text">More contrast</Checkbox.Label>
                            </Checkbox.Root>
                        </Stack>
                    </Popover.Content>
                </Popover.Positioner>
            </Portal>
        </Popover.Root>
    )
}

function Choice({
    label,
    value,
    options,
    onChange,
}: {
    label: string
    value: string
    options: [string, string][]
    onChange: (v: string) => void
}) {
    return (
        <Box>
            <Text fontSize="text">{label}</Text>
            <Select label={label} value={value} options={options} onChange={onChange} />
        </Box>
    )
}
