import { Box, Button, HStack, Stack, Text } from '@chakra-ui/react'
import type { DoAct, Fields } from '@/lib/acts'
import type { BoardData, Entry, FaultName, Part } from '@/lib/types'
import { placeName } from '@/board/walk'
import { WiresHere } from './WiresHere'
import { ByHand } from './ByHand'
import { PartSuspects } from './PartSuspects'
import { Lever } from './Lever'
import { useInstruments } from '@/lib/useInstruments'
import { knownLever } from './known'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    say?: (text: string) => string
    board: BoardData
    part: Part | undefined
    place: string | null
    log: Entry[]
    lifted: string[]
    /** parts in the hand */
    off: string[]
    /** parts that are locked off */
    locked: string[]
    /** parts whose heads are off */
    heads: string[]
    jaw: string[]
    jumper: {
        from: string | null
        all: [string, string][]
        /** of them those that are wires put in to stay */
        wires: [string, string][]
        onFrom: (place: string | null) => void
    }
    /** parts from the van that were fitted */
    installed: string[]
    /** what can be wrong, and how each is marked */
    faults: FaultName[]
    marks: Record<string, 'star' | 'out' | 'open'>
    act: DoAct
    onPlace: (place: string) => void
}

const MENDS: { how: Fields<'mend'>['how']; with?: Fields<'mend'>['with']; word: string }[] = [
    { how: 'replace', word: 'Replace' },
    { how: 'clear', word: 'Clear' },
    { how: 'set', word: 'Set right' },
    { how: 'clean', word: 'Clean' },
    { how: 'clean', with: 'cloth', word: 'Clean with a cloth' },
    { how: 'clean', with: 'steel_wool', word: 'Clean with steel wool' },
    { how: 'clean', with: 'sandpaper', word: 'Clean with sandpaper' },
    { how: 'clean', with: 'wire', word: 'Clean with a wire' },
]

/** More jumpers than the van has clips for are wires: those at other parts are not told here. */
const jumpersHere = (part: Part, all: [string, string][]) =>
    all.length <= 6 ? all : all.filter((ends) => part.terminals.some((t) => ends.includes(t.place)))

/** As long as a maker's sheet asks at most. */
const HELD_S = 45

/** What can be done to the part in front of one, and to the wires on the terminal that is picked. */
export function PartPanel({
    board,
    part,
    place,
    log,
    lifted,
    off,
    locked,
    heads,
    jaw,
    jumper,
    installed,
    faults,
    marks,
    act,
    onPlace,
    say = (text) => text,
}: Props) {
    const titleOf = useInstruments()
    if (!part) {
        return (
            <Box layerStyle="panel" p="3">
                <Text color="faint" fontSize="text">
                    {t('Pick a part to look at it or set it. Pick a terminal to put the lead in hand there.')}
                </Text>
            </Box>
        )
    }
    if (part.van && !installed.includes(part.id))
        return (
            <Stack layerStyle="panel" gap="2" p="3" as="section" aria-label={t('Part')}>
                <Text fontWeight={700}>{part.label}</Text>
                <Text fontSize="note" color="faint">
                    {t('{{title}}, in the van', { title: part.title })}
                </Text>
                <MainButton onClick={() => void act('install', { part: part.id })}>{t('Fit it')}</MainButton>
            </Stack>
        )
    const known = board.parts.find((p) => p.symbol === 'source')?.terminals[0]?.place
    const look = [...log]
        .reverse()
        .find((e) => e.act['part'] === part.id && !e.refused && Object.keys(e.seen).length > 0)
    return (
        <Stack layerStyle="panel" gap="2" p="3" as="section" aria-label={t('Part')}>
            <Box>
                <Text fontWeight={700}>{part.label}</Text>
                <Text fontSize="note" color="faint">
                    {part.title}
                </Text>
            </Box>
            <MainButton onClick={() => void act('look', { part: part.id })}>{t('Look at it')}</MainButton>
            {look && (
                <Text fontSize="note" bg="ground" borderRadius="sm" p="2">
                    {say(
                        look.act.act === 'look'
                            ? Object.entries(look.seen)
                                  .map(([k, v]) => (k === 'condition' ? v : `${k}: ${v}`))
                                  .join(' · ')
                            : look.text,
                    )}
                </Text>
            )}
            {part.controls.map((c) => (
                <Lever
                    key={c.lever}
                    control={c}
                    known={knownLever(log, part.id, c.lever, c.label)}
                    onSet={(to) => void act('set', { part: part.id, lever: c.lever, to })}
                />
            ))}
            {part.resets && (
                <>
                    <ToolButton onClick={() => void act('reset', { part: part.id })}>{t('Press its reset')}</ToolButton>
                    <ToolButton onClick={() => void act('reset', { part: part.id, seconds: HELD_S })}>
                        {t('Hold its reset in for {{HELD_S}} s', { HELD_S })}
                    </ToolButton>
                </>
            )}
            {(part.taps ?? []).map((t) => (
                <ToolButton
                    key={t.tap}

                    whiteSpace="normal"
                    fontSize="text"
                    onClick={() => void act(t.instrument, { tap: t.tap })}
                >
                    {titleOf(t.instrument)}: {t.label}
                </ToolButton>
            ))}
            {place && (
                <ToolButton
                    whiteSpace="normal"
                    fontSize="text"
                    lineHeight="1.2"
                    onClick={() => void act('tester', { place })}
                >
                    {t('Hold the tester to {{placeName}}', { placeName: placeName(board, place) })}
                </ToolButton>
            )}
            {place && known && (
                <ToolButton
                    whiteSpace="normal"
                    fontSize="text"
                    lineHeight="1.2"
                    onClick={() => void act('prove_dead', { known, place })}
                >
                    {t('Prove {{placeName}} dead', { placeName: placeName(board, place) })}
                </ToolButton>
            )}
            {place && (
                <Button
                    h="touch"
                    variant="outline"
                    color="ink"
                    borderColor={jumper.from === null ? 'line' : 'copper'}
                    whiteSpace="normal"
                    fontSize="text"
                    lineHeight="1.2"
                    onClick={() => {
                        if (jumper.from === null) jumper.onFrom(place)
                        else {
                            void act('jump', { from: jumper.from, to: place })
                            jumper.onFrom(null)
                        }
                    }}
                >
                    {jumper.from === null
                        ? t('Jumper from {{placeName}}', { placeName: placeName(board, place) })
                        : t('Jumper {{placeName}} to {{placeName2}}', {
                              placeName: placeName(board, jumper.from),
                              placeName2: placeName(board, place),
                          })}
                </Button>
            )}
            {place && jumper.from !== null && jumper.from !== place && (
                <ToolButton
                    whiteSpace="normal"
                    fontSize="text"
                    lineHeight="1.2"
                    onClick={() => {
                        void act('run_wire', { from: jumper.from!, to: place })
                        jumper.onFrom(null)
                    }}
                >
                    {t('Run a wire {{placeName}} to {{placeName2}}', {
                        placeName: placeName(board, jumper.from),
                        placeName2: placeName(board, place),
                    })}
                </ToolButton>
            )}
            {jumpersHere(part, jumper.all).map(([from, to]) => (
                <Button
                    key={`${from} ${to}`}
                    h="touch"
                    variant="outline"
                    color="danger"
                    borderColor="danger"
                    whiteSpace="normal"
                    fontSize="text"
                    lineHeight="1.2"
                    onClick={() => void act('unjump', { from, to })}
                >
                    {t(
                        jumper.wires.some(([a, b]) => a === from && b === to)
                            ? 'Take the wire off {{from}} and {{to}}'
                            : 'Take the jumper off {{from}} and {{to}}',
                        { from: placeName(board, from), to: placeName(board, to) },
                    )}
                </Button>
            ))}
            {place && <WiresHere {...{ board, place, log, lifted, jaw, act, onPlace }} />}
            <ByHand
                key={part.id}
                part={part}
                isOff={off.includes(part.id)}
                isLocked={locked.includes(part.id)}
                isHeadless={heads.includes(part.id)}
                act={act}
            />
            <PartSuspects part={part.id} faults={faults} marks={marks} act={act} />
            <Box as="details">
                <Box as="summary" fontSize="text" color="copper" fontWeight={700} cursor="pointer" minH="32px">
                    {t('Mend it…')}
                </Box>
                <HStack gap="1" wrap="wrap">
                    {MENDS.map((m) => (
                        <ToolButton
                            key={t(m.word)}
                            size="sm"
                            onClick={() =>
                                void act('mend', { part: part.id, how: m.how, ...(m.with && { with: m.with }) })
                            }
                        >
                            {t(m.word)}
                        </ToolButton>
                    ))}
                </HStack>
            </Box>
        </Stack>
    )
}
