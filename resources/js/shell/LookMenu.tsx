import { Box, Checkbox, Popover, Stack, Text, Portal } from '@chakra-ui/react'
import { useLook, type Look } from './look'
import { Select } from './Select'
import { ToolButton } from '@/theme/buttons'
import { LANGUAGES, t } from '@/words'

/** Light or dark, more contrast, and the units that one reads best: for this device. */
export function LookMenu() {
    const [look, change] = useLook()
    return (
        <Popover.Root positioning={{ placement: 'bottom-end' }} lazyMount unmountOnExit>
            <Popover.Trigger asChild>
                <ToolButton size="sm" h="tight" aria-label={t('How it looks, and units')}>
                    {t('Aa °')}
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
                        aria-label={t('How it looks, and units')}
                    >
                        <Stack gap="2">
                            <Choice
                                label={t('Theme')}
                                value={look.theme}
                                options={[
                                    ['device', t('as this device has it')],
                                    ['light', t('light')],
                                    ['dark', t('dark')],
                                ]}
                                onChange={(v) => change({ theme: v as Look['theme'] })}
                            />
                            <Choice
                                label={t('Words')}
                                value={look.language}
                                options={Object.entries(LANGUAGES)}
                                onChange={(v) => {
                                    change({ language: v as Look['language'] })
                                    window.location.reload() // what has been written is written anew
                                }}
                            />
                            <Choice
                                label={t('Degrees and pressures')}
                                value={look.units}
                                options={[
                                    ['given', t('as the appliance has them')],
                                    ['metric', t('°C and Pa')],
                                    ['imperial', t('°F and in. w.c.')],
                                ]}
                                onChange={(v) => change({ units: v as Look['units'] })}
                            />
                            <Yes
                                label={t('More contrast')}
                                checked={look.contrast}
                                onChange={(contrast) => change({ contrast })}
                            />
                            <Yes
                                label={t('Open the tape while time runs')}
                                checked={look.tape}
                                onChange={(tape) => change({ tape })}
                            />
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

function Yes({ label, checked, onChange }: { label: string; checked: boolean; onChange: (yes: boolean) => void }) {
    return (
        <Checkbox.Root checked={checked} minH="touch" onCheckedChange={(e) => onChange(e.checked === true)}>
            <Checkbox.HiddenInput />
            <Checkbox.Control
                borderColor="faint"
                _checked={{ bg: 'copper', borderColor: 'copper', color: 'onCopper' }}
            />
            <Checkbox.Label fontSize="text">{label}</Checkbox.Label>
        </Checkbox.Root>
    )
}
