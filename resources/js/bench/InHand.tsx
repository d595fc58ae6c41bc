import { HStack, NativeSelect, Text } from '@chakra-ui/react'
import { useState } from 'react'
import type { DoAct } from '@/lib/acts'
import type { Part } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    part: Part
    isOff: boolean
    /** its head is off its body */
    isHeadless: boolean
    act: DoAct
}

/** A part taken off and put back, warmed and measured in the hand, and a new one beside it. */
export function InHand({ part, isOff, isHeadless, act }: Props) {
    const hands = part.hands
    const places = part.terminals.map((t) => t.place)
    const [red, setRed] = useState(places[0] ?? '')
    const [black, setBlack] = useState(places[1] ?? '')
    if (!hands?.off && hands?.fuse == null) return null
    const on = { part: part.id }
    const take = (to: 'on' | 'off') => void act('take', { ...on, to })
    return (
        <>
            {isOff && (
                <Text fontSize="note" fontWeight={700} color="copper">
                    {hands.off ? t('It is in your hand.') : t('Its fuse is in your hand.')}
                </Text>
            )}
            <HStack gap="1" wrap="wrap">
                {isOff ? (
                    <ToolButton size="sm" onClick={() => take('on')}>
                        {t('Put the same one back')}
                    </ToolButton>
                ) : (
                    <ToolButton size="sm" onClick={() => take('off')}>
                        {hands.off ? t('Take it off') : t('Draw its fuse')}
                    </ToolButton>
                )}
                {isOff && hands.fuse != null && (
                    <ToolButton size="sm" onClick={() => void act('ohm_fuse', on)}>
                        {t('Ohms of the fuse')}
                    </ToolButton>
                )}
                {hands.head && !isOff && (
                    <ToolButton size="sm" onClick={() => void act('head', { ...on, to: isHeadless ? 'on' : 'off' })}>
                        {isHeadless ? t('Put its head back on') : t('Take its head off')}
                    </ToolButton>
                )}
                {hands.head && isHeadless && (
                    <ToolButton size="sm" onClick={() => void act('turn', on)}>
                        {t('Turn its spindle')}
                    </ToolButton>
                )}
                {isOff && hands.warm && (
                    <>
                        <ToolButton size="sm" onClick={() => void act('warm', { ...on, to: 'hot' })}>
                            {t('Warm it')}
                        </ToolButton>
                        <ToolButton size="sm" onClick={() => void act('warm', { ...on, to: 'cool' })}>
                            {t('Let it cool')}
                        </ToolButton>
                    </>
                )}
            </HStack>
            {hands.off && places.length > 1 && (
                <HStack gap="1" wrap="wrap" role="group" aria-label={t('Ohms of a new one')}>
                    <Pick label={t('Red lead on a new one')} part={part} value={red} onPick={setRed} />
                    <Pick label={t('Black lead on a new one')} part={part} value={black} onPick={setBlack} />
                    <ToolButton
                        size="sm"
                        disabled={red === black}
                        onClick={() => void act('ohm_spare', { ...on, red, black })}
                    >
                        {t('Ohms of a new one')}
                    </ToolButton>
                </HStack>
            )}
        </>
    )
}

function Pick(props: { label: string; part: Part; value: string; onPick: (place: string) => void }) {
    return (
        <NativeSelect.Root size="sm" width="auto">
            <NativeSelect.Field
                h="touch"
                aria-label={props.label}
                value={props.value}
                onChange={(e) => props.onPick(e.target.value)}
            >
                {props.part.terminals.map((t) => (
                    <option key={t.place} value={t.place}>
                        {t.name}
                    </option>
                ))}
            </NativeSelect.Field>
            <NativeSelect.Indicator />
        </NativeSelect.Root>
    )
}
