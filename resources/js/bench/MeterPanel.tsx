import { Box, Button, Flex, Grid, HStack, Stack, Text } from '@chakra-ui/react'
import type { DoAct, Mode } from '@/lib/acts'
import type { Reading, Scene } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'

const MODES: { mode: Mode; word: string; name: string }[] = [
    { mode: 'vac', word: 'V AC', name: 'Volts AC' },
    { mode: 'vlz', word: 'V Lo', name: 'Volts AC at low impedance' },
    { mode: 'vdc', word: 'V DC', name: 'Volts DC' },
    { mode: 'mvdc', word: 'mV', name: 'Millivolts DC' },
    { mode: 'ohm', word: 'Ω', name: 'Ohms' },
    { mode: 'beep', word: '♪', name: 'Continuity' },
    { mode: 'uf', word: 'µF', name: 'Microfarads' },
    { mode: 'hz', word: 'Hz', name: 'Hertz' },
    { mode: 'ua', word: 'µA', name: 'Microamps DC, in series' },
    { mode: 'ma', word: 'mA', name: 'Milliamps DC, in series' },
    { mode: 'aac', word: 'A', name: 'Amps AC, in series' },
]

/** Largest figure of each range that can be chosen by hand; one alone is no choice. */
const RANGES: Partial<Record<Mode, number[]>> = {
    vac: [6, 60, 600],
    vdc: [6, 60, 600],
    ohm: [600, 6e3, 6e4, 6e5, 6e6, 6e7],
    uf: [6, 60, 600, 6000],
    ua: [600, 6000],
    ma: [60, 600],
}

interface Props {
    scene: Scene
    reading: Reading | undefined
    /** the display is on its way to another figure */
    moving: boolean
    hand: 'red' | 'black'
    names: { red: string; black: string }
    act: DoAct
    onHand: (lead: 'red' | 'black') => void
    onOff: () => void
    meaning: { ask: boolean; onMeant: (m: 'good' | 'bad' | 'unsure') => void }
}

/** An ordinary meter: display, dial, two leads. What it shows is computed at this moment of the tape. */
export function MeterPanel({ scene, reading, moving, hand, names, act, onHand, onOff, meaning }: Props) {
    const ranges = RANGES[scene.mode] ?? []
    const nextRange = ranges[scene.range === null ? 0 : ranges.indexOf(scene.range) + 1] ?? null
    return (
        <Stack layerStyle="panel" gap="1.5" p="2" flexShrink={0} as="section" aria-label="Meter">
            <Flex
                bg="lcd"
                color="lcdInk"
                borderRadius="sm"
                h="56px"
                align="center"
                justify="flex-end"
                px="3"
                borderWidth="1px"
                borderColor="line"
                position="sticky"
                top="0"
                zIndex="1"
            >
                <Text position="absolute" top="1" left="2" fontSize="fine">
                    {[
                        scene.range !== null && 'by hand',
                        scene.keeping && 'holds min and max',
                        scene.battery === 'low' && 'battery low',
                    ]
                        .filter(Boolean)
                        .join(' · ')}
                </Text>
                <Text className="reading" fontSize="28px" fontWeight={600} data-testid="display" aria-live="polite">
                    {moving
                        ? '· · ·'
                        : reading?.unsteady
                          ? '~ ~ ~'
                          : (reading?.text.replace(/ \(least.*\)|, battery low/g, '') ??
                            (scene.red && scene.black ? '· · ·' : '– – –'))}
                </Text>
            </Flex>
            <Grid templateColumns="repeat(4, 1fr)" gap="1" role="group" aria-label="Dial">
                {MODES.map(({ mode, word, name }) => (
                    <Button
                        key={mode}
                        h="touch"
                        px="1"
                        variant="outline"
                        aria-label={name}
                        aria-pressed={scene.mode === mode}
                        onClick={() => void act('dial', { mode })}
                        bg={scene.mode === mode ? 'ink' : 'sheet'}
                        color={scene.mode === mode ? 'sheet' : 'ink'}
                        borderColor="line"
                        fontFamily="mono"
                    >
                        {word}
                    </Button>
                ))}
                <ToolButton
                    px="1"
                    disabled={ranges.length === 0}
                    fontSize="note"
                    aria-label={
                        scene.range === null ? 'Range: chosen by the meter' : `Range by hand: up to ${scene.range}`
                    }
                    onClick={() =>
                        void act(
                            'dial',
                            nextRange === null ? { mode: scene.mode } : { mode: scene.mode, range: nextRange },
                        )
                    }
                >
                    {scene.range === null ? 'auto' : `≤ ${short(scene.range)}`}
                </ToolButton>
            </Grid>
            {scene.blown.length > 0 && (
                <Button
                    h="touch"
                    variant="outline"
                    color="danger"
                    borderColor="danger"
                    onClick={() => void act('meter_fuse')}
                >
                    Meter fuse blown: put in a new one
                </Button>
            )}
            {scene.battery === 'low' && (
                <Button
                    h="touch"
                    variant="outline"
                    color="danger"
                    borderColor="danger"
                    onClick={() => void act('meter_battery')}
                >
                    Battery low: put in a new one
                </Button>
            )}
            <HStack gap="1">
                {(['red', 'black'] as const).map((lead) => (
                    <ToolButton
                        key={lead}
                        flex="1"
                        minW="0"
                        px="2"
                        gap="1"
                        justifyContent="flex-start"
                        borderWidth={hand === lead ? '2px' : '1px'}
                        on={hand === lead}
                        title={scene[lead] ? names[lead] : undefined}
                        onClick={() => onHand(lead)}
                    >
                        <Box
                            w="12px"
                            h="12px"
                            borderRadius="full"
                            bg={lead === 'red' ? 'leadRed' : 'leadBlack'}
                            flexShrink={0}
                        />
                        <Stack gap="0" align="start" minW="0" lineHeight="1.15">
                            <Text fontSize="note" fontWeight={700}>
                                {lead === 'red' ? 'Red' : 'Black'}
                            </Text>
                            <Text
                                fontSize="fine"
                                fontWeight={400}
                                lineClamp={2}
                                whiteSpace="normal"
                                textAlign="start"
                                lineHeight="1.05"
                            >
                                {scene[lead] ? names[lead] : hand === lead ? 'in hand' : 'off'}
                            </Text>
                        </Stack>
                    </ToolButton>
                ))}
            </HStack>
            <HStack gap="1">
                <ToolButton
                    flex="1"
                    px="1"
                    whiteSpace="normal"
                    lineHeight="1.1"
                    disabled={!scene.red || !scene.black}
                    onClick={() => void act('read')}
                >
                    Log reading
                </ToolButton>
                <ToolButton
                    flex="1"
                    px="1"
                    whiteSpace="normal"
                    lineHeight="1.1"
                    disabled={!scene.red && !scene.black}
                    onClick={onOff}
                >
                    Remove leads
                </ToolButton>
                <ToolButton
                    flex="1"
                    px="1"
                    whiteSpace="normal"
                    lineHeight="1.1"
                    fontSize="note"
                    on={scene.keeping}
                    onClick={() => void act('keep', { to: scene.keeping ? 'off' : 'on' })}
                >
                    {scene.keeping ? 'Clear min and max' : 'Min / Max'}
                </ToolButton>
            </HStack>
            {meaning.ask && (
                <Box>
                    <Text fontSize="note" color="faint" mb="1">
                        What did that mean to you?
                    </Text>
                    <HStack gap="1">
                        <ToolButton flex="1" px="1" onClick={() => meaning.onMeant('good')}>
                            Good
                        </ToolButton>
                        <ToolButton flex="1" px="1" onClick={() => meaning.onMeant('bad')}>
                            Bad
                        </ToolButton>
                        <ToolButton flex="1" px="1" onClick={() => meaning.onMeant('unsure')}>
                            Unclear
                        </ToolButton>
                    </HStack>
                </Box>
            )}
        </Stack>
    )
}

function short(range: number): string {
    return range >= 1e6 ? `${range / 1e6}M` : range >= 1e3 ? `${range / 1e3}k` : String(range)
}
