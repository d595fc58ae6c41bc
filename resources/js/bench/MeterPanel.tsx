import { Box, Button, Flex, Grid, HStack, Stack, Text } from '@chakra-ui/react'
import type { Mode, Reading, Scene } from '@/lib/types'

const MODES: { mode: Mode; word: string; name: string }[] = [
    { mode: 'vac', word: 'V AC', name: 'Volts AC' }, { mode: 'vlz', word: 'V Lo', name: 'Volts AC at low impedance' }, { mode: 'vdc', word: 'V DC', name: 'Volts DC' },
    { mode: 'ohm', word: 'Ω', name: 'Ohms' }, { mode: 'beep', word: '♪', name: 'Continuity' }, { mode: 'ua', word: 'µA', name: 'Microamps DC, in series' },
]

interface Props {
    scene: Scene
    reading: Reading | undefined
    hand: 'red' | 'black'
    names: { red: string; black: string }
    onDial: (mode: Mode) => void
    onHand: (lead: 'red' | 'black') => void
    onOff: () => void
    onRead: () => void
    onFuse: () => void
    meaning: { ask: boolean; onMeant: (m: 'good' | 'bad' | 'unsure') => void }
}

/** An ordinary meter: display, dial, two leads. What it shows is computed at this moment of the tape. */
export function MeterPanel({ scene, reading, hand, names, onDial, onHand, onOff, onRead, onFuse, meaning }: Props) {
    return (
        <Stack gap="2" bg="sheet" borderWidth="1px" borderColor="line" borderRadius="md" p="3" as="section" aria-label="Meter">
            <Flex bg="lcd" color="lcdInk" borderRadius="sm" h="64px" align="center" justify="flex-end" px="3" borderWidth="1px" borderColor="line">
                <Text className="reading" fontSize="28px" fontWeight={600} data-testid="display" aria-live="polite">
                    {reading?.text ?? (scene.red && scene.black ? '· · ·' : '– – –')}
                </Text>
            </Flex>
            <Grid templateColumns="repeat(3, 1fr)" gap="1" role="group" aria-label="Dial">
                {MODES.map(({ mode, word, name }) => (
                    <Button
                        key={mode} h="44px" px="1" variant="outline" aria-label={name} aria-pressed={scene.mode === mode} onClick={() => onDial(mode)}
                        bg={scene.mode === mode ? 'ink' : 'sheet'} color={scene.mode === mode ? 'sheet' : 'ink'} borderColor="line" fontFamily="mono"
                    >
                        {word}
                    </Button>
                ))}
            </Grid>
            {scene.meter_fuse === 'blown' && <Button h="44px" variant="outline" color="danger" borderColor="danger" onClick={onFuse}>Meter fuse blown: put in a new one</Button>}
            {(['red', 'black'] as const).map((lead) => (
                <Button
                    key={lead} variant="outline" h="44px" justifyContent="flex-start" bg={hand === lead ? 'copperWash' : 'sheet'} color="ink"
                    borderColor={hand === lead ? 'copper' : 'line'} borderWidth={hand === lead ? '2px' : '1px'} aria-pressed={hand === lead} onClick={() => onHand(lead)}
                >
                    <Box w="14px" h="14px" borderRadius="full" bg={lead === 'red' ? 'leadRed' : 'leadBlack'} flexShrink={0} />
                    <Text fontWeight={700}>{lead === 'red' ? 'Red' : 'Black'}</Text>
                    <Text fontWeight={400} truncate>{scene[lead] ? names[lead] : hand === lead ? 'in hand' : 'off'}</Text>
                </Button>
            ))}
            <HStack gap="1">
                <Button flex="1" h="44px" variant="outline" color="ink" borderColor="line" disabled={!scene.red || !scene.black} onClick={onRead}>Note it now</Button>
                <Button flex="1" h="44px" variant="outline" color="ink" borderColor="line" disabled={!scene.red && !scene.black} onClick={onOff}>Leads off</Button>
            </HStack>
            {meaning.ask && (
                <Box>
                    <Text fontSize="13px" color="faint" mb="1">What did that mean to you?</Text>
                    <HStack gap="1">
                        <Button flex="1" h="44px" px="1" variant="outline" color="ink" borderColor="line" onClick={() => meaning.onMeant('good')}>Good</Button>
                        <Button flex="1" h="44px" px="1" variant="outline" color="ink" borderColor="line" onClick={() => meaning.onMeant('bad')}>Bad</Button>
                        <Button flex="1" h="44px" px="1" variant="outline" color="ink" borderColor="line" onClick={() => meaning.onMeant('unsure')}>Unclear</Button>
                    </HStack>
                </Box>
            )}
        </Stack>
    )
}
