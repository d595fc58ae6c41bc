import { Box, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import type { DoAct } from '@/lib/acts'
import type { Part } from '@/lib/types'
import { InHand } from './InHand'
import { ToolButton } from '@/theme/buttons'

interface Props {
    part: Part
    isOff: boolean
    isLocked: boolean
    isHeadless: boolean
    act: DoAct
}

/** What ears, nose and hands do to the part in front of one; folded away until it is wanted. */
export function ByHand({ part, isOff, isLocked, isHeadless, act }: Props) {
    const hands = part.hands
    const [amps, setAmps] = useState(String(hands?.fuse ?? ''))
    const [pushed, setPushed] = useState(false)
    const [sucking, setSucking] = useState(false)
    const on = { part: part.id }
    return (
        <Box as="details">
            <Box as="summary" fontSize="text" color="copper" fontWeight={700} cursor="pointer" minH="32px">
                Listen, feel, tap…
            </Box>
            <Stack gap="1">
                <HStack gap="1" wrap="wrap">
                    <Do word="Listen" onClick={() => void act('listen', on)} />
                    <Do word="Smell" onClick={() => void act('smell')} />
                    <Do word="Feel" onClick={() => void act('feel', on)} />
                    <Do word="Tap" onClick={() => void act('tap', on)} />
                    {hands?.turn && <Do word="Turn by hand" onClick={() => void act('turn', on)} />}
                    {hands?.batteries && <Do word="Put fresh batteries in" onClick={() => void act('batteries', on)} />}
                    {hands?.clock && <Do word="Clock the dial" onClick={() => void act('clock', on)} />}
                    {hands?.push && (
                        <Do
                            word={pushed ? 'Let go' : 'Push in'}
                            onClick={() => {
                                void act('push', { ...on, to: pushed ? 'out' : 'in' })
                                setPushed(!pushed)
                            }}
                        />
                    )}
                    {hands?.suck && (
                        <Do
                            word={sucking ? 'Let go of the hose' : 'Suck at the hose'}
                            onClick={() => {
                                void act('suck', { ...on, to: sucking ? 'off' : 'on' })
                                setSucking(!sucking)
                            }}
                        />
                    )}
                    {hands?.bleed && (
                        <Do
                            word="Bleed over a resistor"
                            onClick={() => void act('bleed', { ...on, over: 'resistor' })}
                        />
                    )}
                    {hands?.recall && <Do word="Recall its codes" onClick={() => void act('recall', on)} />}
                    {hands?.leaks && <Do word="Leak solution" onClick={() => void act('leak_test', on)} />}
                    {hands?.lock && (
                        <Do
                            word={isLocked ? 'Take the lock off' : 'Lock it off'}
                            onClick={() => void act('lock', { ...on, to: isLocked ? 'free' : 'locked' })}
                        />
                    )}
                    {hands?.supplied && (
                        <Do word="Call the supplier, and wait" onClick={() => void act('call_supplier', on)} />
                    )}
                    <Do word="Plug off" onClick={() => void act('plug', { ...on, to: 'off' })} />
                    <Do word="Plug on" onClick={() => void act('plug', { ...on, to: 'on' })} />
                </HStack>
                <InHand part={part} isOff={isOff} isHeadless={isHeadless} act={act} />
                {hands?.fuse != null && (
                    <HStack gap="1">
                        <Input
                            h="touch"
                            type="number"
                            min={0}
                            max={100}
                            aria-label="Fuse, A"
                            value={amps}
                            onChange={(e) => setAmps(e.target.value)}
                            borderColor="line"
                        />
                        <Text fontSize="text">A</Text>
                        <Do word="Put a new one in" onClick={() => void act('fuse', { ...on, amps: Number(amps) })} />
                    </HStack>
                )}
                {hands?.spares.map((spare) => (
                    <Do
                        key={spare}
                        word={`Fit from the van: ${spare}`}
                        onClick={() => void act('spare', { ...on, spare })}
                    />
                ))}
            </Stack>
        </Box>
    )
}

function Do({ word, onClick }: { word: string; onClick: () => void }) {
    return (
        <ToolButton size="sm" whiteSpace="normal" onClick={onClick}>
            {word}
        </ToolButton>
    )
}
