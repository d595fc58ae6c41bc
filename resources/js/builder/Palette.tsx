import { Box, Button, Grid, Input, Stack, Text } from '@chakra-ui/react'
import { memo, useMemo, useState } from 'react'
import { Symbol } from '@/board/Symbol'
import { useTold } from '@/lib/query'
import { search } from '@/search/search'
import type { KindFound } from './types'
import { t } from '@/words'
import { familyName } from '@/lib/families'

interface Props {
    draft: number
    all: KindFound[]
    taken: string | null
    onTake: (kind: KindFound | null) => void
    onPlace: (kind: KindFound) => void
}

/** So many of the most used stand before the families. */
const MOST_USED = 8

/**
 * The kinds of parts as pictures, found by the trade's words or by what they do; one taken in hand goes where the board
 * is pressed.
 */
export const Palette = memo(function Palette({ draft, all, taken, onTake, onPlace }: Props) {
    const [words, setWords] = useState('')
    const { data: kinds = all, refetch } = useTold<KindFound[]>(`/drafts/${draft}/kinds`, { initial: all })
    const found = useMemo(
        () => search(kinds, words, (k) => ({ title: k.title, more: k.words, usual: k.used })),
        [kinds, words],
    )
    const groups = useMemo(() => (words.trim() === '' ? grouped(found) : [['', found] as const]), [words, found])
    return (
        <Stack gap="2" h="100%" minH="0">
            <Input
                aria-label={t('Find a kind of part')}
                placeholder={t('limit, opens on heat, pump…')}
                h="touch"
                flexShrink={0}
                borderColor="line"
                value={words}
                onFocus={() => void refetch()}
                onChange={(e) => setWords(e.target.value)}
                onKeyDown={(e) => {
                    if (e.key === 'Enter' && found[0]) onPlace(found[0])
                    if (e.key === 'Escape') e.currentTarget.blur()
                }}
            />
            <Text fontSize="note" color="faint">
                {taken
                    ? t('Press the board where it goes; Escape puts it back.')
                    : t('Press a kind, then the board. Enter places the first.')}
            </Text>
            <Box flex="1" minH="0" overflowY="auto" tabIndex={0} aria-label={t('Kinds of parts')}>
                {found.length === 0 && (
                    <Text fontSize="text" color="faint">
                        {t('No part matches. Make one under “Custom parts”.')}
                    </Text>
                )}
                {groups.map(([name, of]) => (
                    <Box key={name} mb="2" role="group" aria-label={name || t('Found')}>
                        {name !== '' && (
                            <Text fontSize="note" color="faint" fontWeight={700}>
                                {familyName(name)}
                            </Text>
                        )}
                        <Grid templateColumns="repeat(auto-fill, minmax(92px, 1fr))" gap="1">
                            {of.map((k) => (
                                <Card key={k.kind} kind={k} isTaken={taken === k.kind} onTake={onTake} />
                            ))}
                        </Grid>
                    </Box>
                ))}
            </Box>
        </Stack>
    )
})

interface CardProps {
    kind: KindFound
    isTaken: boolean
    onTake: Props['onTake']
}

/** Drawn anew only where it is taken or put back: there are hundreds, and each edit comes past them. */
const Card = memo(function Card({ kind, isTaken, onTake }: CardProps) {
    return (
        <Button
            variant="outline"
            borderColor={isTaken ? 'copper' : 'line'}
            bg={isTaken ? 'copperWash' : 'sheet'}
            h="auto"
            minH="84px"
            p="1"
            flexDirection="column"
            justifyContent="flex-start"
            gap="0"
            whiteSpace="normal"
            fontSize="fine"
            fontWeight={400}
            lineHeight="1.15"
            color="ink"
            aria-pressed={isTaken}
            onClick={() => onTake(isTaken ? null : kind)}
        >
            <svg viewBox="0 0 40 24" style={{ width: 60, height: 36 }} aria-hidden="true">
                <Symbol kind={kind.symbol} x={0} y={0} />
            </svg>
            <span>
                {kind.title}
                {kind.own && (
                    <Text as="span" color="copper">
                        {t('our own')}
                    </Text>
                )}
            </span>
        </Button>
    )
})

/** The most used, then all by family. */
function grouped(kinds: KindFound[]): (readonly [string, KindFound[]])[] {
    const families = new Map<string, KindFound[]>()
    for (const kind of kinds) families.set(kind.family, [...(families.get(kind.family) ?? []), kind])
    return [['most used', kinds.slice(0, MOST_USED)], ...[...families].sort(([a], [b]) => a.localeCompare(b))]
}
