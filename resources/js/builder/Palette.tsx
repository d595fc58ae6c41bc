import { Box, Button, Input, Stack, Text } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import { useTold } from '@/lib/query'
import { useSettled } from '@/lib/useSettled'
import type { KindFound } from './types'

/** Milliseconds without a key after which it is looked for. */
const TYPED_MS = 120

interface Props {
    draft: number
    all: KindFound[]
    taken: string | null
    onTake: (kind: KindFound | null) => void
    onPlace: (kind: KindFound) => void
}

/**
 * The kinds of parts, found by the trade's words or by what they do; one taken in hand goes where the board is pressed.
 */
export function Palette({ draft, all, taken, onTake, onPlace }: Props) {
    const [words, setWords] = useState('')
    const entered = useRef(false)
    const place = useRef(onPlace)
    useEffect(() => {
        place.current = onPlace
    })
    const wanted = useSettled(words.trim(), TYPED_MS)
    const told = useTold<KindFound[]>(`/drafts/${draft}/kinds?words=${encodeURIComponent(wanted)}`, {
        enabled: wanted !== '',
        keep: true,
    })
    const isAnswered =
        wanted === words.trim() && (wanted === '' || (told.data !== undefined && !told.isPlaceholderData))
    const found = wanted === '' ? all : (told.data ?? all)
    useEffect(() => {
        if (!isAnswered || !entered.current) return
        entered.current = false
        if (found[0]) place.current(found[0]) // Enter came before the answer
    }, [isAnswered, found])
    return (
        <Stack gap="2" h="100%" minH="0">
            <Input
                aria-label="Find a kind of part"
                placeholder="limit, opens on heat, pump…"
                h="touch"
                flexShrink={0}
                borderColor="line"
                value={words}
                onChange={(e) => {
                    entered.current = false
                    setWords(e.target.value)
                }}
                onKeyDown={(e) => {
                    if (e.key === 'Enter' && !isAnswered) entered.current = true
                    else if (e.key === 'Enter' && found[0]) onPlace(found[0])
                    if (e.key === 'Escape') e.currentTarget.blur()
                }}
            />
            <Text fontSize="note" color="faint">
                {taken
                    ? 'Press the board where it goes; Escape puts it back.'
                    : 'Press a kind, then the board. Enter places the first.'}
            </Text>
            <Box flex="1" minH="0" overflowY="auto" tabIndex={0} aria-label="Kinds of parts" aria-busy={!isAnswered}>
                {found.length === 0 && (
                    <Text fontSize="text" color="faint">
                        No part matches. Make one under “Custom parts”.
                    </Text>
                )}
                {found.map((k, i) => {
                    const head = words === '' && k.family !== found[i - 1]?.family
                    return (
                        <Box key={k.kind}>
                            {head && (
                                <Text fontSize="note" color="faint" fontWeight={700} mt="2">
                                    {k.family}
                                </Text>
                            )}
                            <Button
                                variant="ghost"
                                w="100%"
                                minH="row"
                                h="auto"
                                py="1"
                                px="2"
                                justifyContent="flex-start"
                                textAlign="left"
                                whiteSpace="normal"
                                fontSize="text"
                                fontWeight={400}
                                color="ink"
                                aria-pressed={taken === k.kind}
                                bg={taken === k.kind ? 'copperWash' : undefined}
                                onClick={() => onTake(taken === k.kind ? null : k)}
                            >
                                <span>
                                    {k.title}
                                    {k.own && (
                                        <Text as="span" fontSize="fine" color="copper">
                                            {' '}
                                            our own
                                        </Text>
                                    )}
                                </span>
                            </Button>
                        </Box>
                    )
                })}
            </Box>
        </Stack>
    )
}
