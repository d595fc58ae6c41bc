import { Box, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import type { DoAct } from '@/lib/acts'
import type { Part } from '@/lib/types'
import { InHand } from './InHand'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

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
                {t('Listen, feel, tap…')}
            </Box>
            <Stack gap="1">
                <HStack gap="1" wrap="wrap">
                    <Do word={t('Listen')} onClick={() => void act('listen', on)} />
                    <Do word={t('Smell')} onClick={() => void act('smell')} />
                    <Do word={t('Feel')} onClick={() => void act('feel', on)} />
                    <Do word={t('Tap')} onClick={() => void act('tap', on)} />
                    {hands?.turn && <Do word={t('Turn by hand')} onClick={() => void act('turn', on)} />}
                    {hands?.batteries && (
                        <Do word={t('Put fresh batteries in')} onClick={() => void act('batteries', on)} />
                    )}
                    {hands?.clock && <Do word={t('Clock the dial')} onClick={() => void act('clock', on)} />}
                    {hands?.push && (
                        <Do
                            word={pushed ? t('Let go') : t('Push in')}
                            onClick={() => {
                                void act('push', { ...on, to: pushed ? 'out' : 'in' })
                                setPushed(!pushed)
                            }}
                        />
                    )}
                    {hands?.suck && (
                        <Do
                            word={sucking ? t('Let go of the hose') : t('Suck at the hose')}
                            onClick={() => {
                                void act('suck', { ...on, to: sucking ? 'off' : 'on' })
                                setSucking(!sucking)
                            }}
                        />
                    )}
                    {hands?.bleed && (
                        <Do
                            word={t('Bleed over a resistor')}
                            onClick={() => void act('bleed', { ...on, over: 'resistor' })}
                        />
                    )}
                    {hands?.recall && <Do word={t('Recall its codes')} onClick={() => void act('recall', on)} />}
                    {hands?.leaks && <Do word={t('Leak solution')} onClick={() => void act('leak_test', on)} />}
                    {hands?.lock && (
                        <Do
                            word={isLocked ? t('Take the lock off') : t('Lock it off')}
                            onClick={() => void act('lock', { ...on, to: isLocked ? 'free' : 'locked' })}
                        />
                    )}
                    {hands?.supplied && (
                        <Do word={t('Call the supplier, and wait')} onClick={() => void act('call_supplier', on)} />
                    )}
                    <Do word={t('Plug off')} onClick={() => void act('plug', { ...on, to: 'off' })} />
                    <Do word={t('Plug on')} onClick={() => void act('plug', { ...on, to: 'on' })} />
                </HStack>
                <InHand part={part} isOff={isOff} isHeadless={isHeadless} act={act} />
                {hands?.fuse != null && (
                    <HStack gap="1">
                        <Input
                            h="touch"
                            type="number"
                            min={0}
                            max={100}
                            aria-label={t('Fuse, A')}
                            value={amps}
                            onChange={(e) => setAmps(e.target.value)}
                            borderColor="line"
                        />
                        <Text fontSize="text">A</Text>
                        <Do
                            word={t('Put a new one in')}
                            onClick={() => void act('fuse', { ...on, amps: Number(amps) })}
                        />
                    </HStack>
                )}
                {hands?.spares.map((spare) => (
                    <Do
                        key={spare}
                        word={t('Fit from the van: {{spare}}', { spare })}
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
