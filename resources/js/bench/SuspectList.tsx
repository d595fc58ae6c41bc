import { Box, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { useMemo, useState } from 'react'
import type { DoAct } from '@/lib/acts'
import type { Entry, FaultName } from '@/lib/types'
import { suspectMarks, suspectWhys } from './known'
import { Mini, SuspectLine } from './SuspectLine'
import { search } from '@/search/search'
import { MainButton } from '@/theme/buttons'
import { t } from '@/words'
import { familyName } from '@/lib/families'

interface Props {
    faults: FaultName[]
    log: Entry[]
    act: DoAct
}

/** So few are shown with all that can be said of each. */
const FEW = 4

/** The trainee's own list by family and part, one line each: star, strike, say why, and name the one it is. */
export function SuspectList({ faults, log, act }: Props) {
    const [words, setWords] = useState('')
    const [asked, setAsked] = useState<string | null>(null)
    const [picked, setPicked] = useState<string | null>(null)
    const [folded, setFolded] = useState<string[]>([])
    const [why, setWhy] = useState('')
    const marks = useMemo(() => suspectMarks(log), [log])
    const whys = useMemo(() => suspectWhys(log), [log])
    const named = [...log].reverse().find((e) => e.act.act === 'name')?.act['fault']
    const shown = useMemo(() => search(faults, words, (f) => ({ title: f.title, more: f.family })), [faults, words])
    const families = useMemo(() => byFamily(shown, marks), [shown, marks])
    const left = (of: FaultName[]) => `${of.filter((f) => marks[f.id] !== 'out').length} of ${of.length}`

    return (
        <Stack gap="2" h="100%" minH="0">
            <Input
                aria-label={t('Find a suspect')}
                placeholder={t('Find: part, or what is wrong')}
                value={words}
                onChange={(e) => setWords(e.target.value)}
                h="touch"
                bg="sheet"
                borderColor="line"
            />
            <Text fontSize="note" color="faint">
                {t('{{left}} left. Swipe a line or press s to star it, x to rule it out.', { left: left(faults) })}
            </Text>
            <Stack gap="0" overflowY="auto" minH="0" flex="1" tabIndex={0} role="list" aria-label={t('Suspects')}>
                {families.map(({ family, parts }) => {
                    const isFolded = folded.includes(family) && words === ''
                    return (
                        <Box key={family} role="group" aria-label={familyName(family)}>
                            <HStack
                                as="button"
                                w="100%"
                                gap="2"
                                bg="ground"
                                px="1"
                                minH="30px"
                                position="sticky"
                                top="0"
                                zIndex="1"
                                fontSize="note"
                                fontWeight={700}
                                textAlign="start"
                                aria-expanded={!isFolded}
                                onClick={() =>
                                    setFolded(isFolded ? folded.filter((f) => f !== family) : [...folded, family])
                                }
                            >
                                <Text as="span" aria-hidden="true" color="copper">
                                    {isFolded ? '▸' : '▾'}
                                </Text>
                                <Text as="span" flex="1">
                                    {familyName(family)}
                                </Text>
                                <Text as="span" fontWeight={400} color="faint">
                                    {left(parts.flatMap((p) => p.faults))}
                                </Text>
                            </HStack>
                            {!isFolded &&
                                parts.map(({ part, faults: of }) => (
                                    <Box key={part} role="group" aria-label={part}>
                                        <Text fontSize="note" fontWeight={700} px="1" pt="1">
                                            {part}
                                            <Text as="span" fontWeight={400} color="faint">
                                                {' '}
                                                {left(of)}
                                            </Text>
                                        </Text>
                                        {of.map(line)}
                                    </Box>
                                ))}
                        </Box>
                    )
                })}
                {shown.length === 0 && (
                    <Text color="faint" fontSize="text">
                        {t('No suspect matches.')}
                    </Text>
                )}
            </Stack>
        </Stack>
    )

    function line(f: FaultName) {
        const mark = marks[f.id] ?? 'open'
        const isOpen = picked === f.id || asked === f.id || shown.length <= FEW
        return (
            <SuspectLine
                key={f.id}
                fault={f}
                mark={mark}
                named={named === f.id}
                act={act}
                isOpen={isOpen}
                onOpen={() => setPicked(picked === f.id ? null : f.id)}
            >
                {whys[f.id] && (
                    <Text fontSize="note" color="faint" ps="11">
                        {t('because {{value}}', { value: whys[f.id] })}
                    </Text>
                )}
                {isOpen && (
                    <HStack gap="1" ps="11" pb="1">
                        <Mini
                            word={t('Why')}
                            label={t('Say why of {{title}}', { title: f.title })}
                            on={asked === f.id}
                            onClick={() => setAsked(asked === f.id ? null : f.id)}
                        />
                        <Mini
                            word={t('Name as the fault')}
                            label={t('Name {{title}}', { title: f.title })}
                            on={false}
                            onClick={() => void act('name', { fault: f.id })}
                        />
                    </HStack>
                )}
                {asked === f.id && (
                    <HStack
                        as="form"
                        gap="1"
                        pb="1"
                        onSubmit={(e) => {
                            e.preventDefault()
                            if (why.trim() !== '') {
                                void act('suspect', { fault: f.id, mark, why: why.trim() })
                                setWhy('')
                                setAsked(null)
                            }
                        }}
                    >
                        <Input
                            aria-label={t('Why: {{title}}', { title: f.title })}
                            placeholder={t('because …')}
                            maxLength={160}
                            h="touch"
                            bg="sheet"
                            borderColor="line"
                            ref={(field: HTMLInputElement | null) => field?.focus()}
                            value={why}
                            onChange={(e) => setWhy(e.target.value)}
                        />
                        <MainButton type="submit">{t('Keep')}</MainButton>
                    </HStack>
                )}
            </SuspectLine>
        )
    }
}

interface OfPart {
    part: string
    faults: FaultName[]
}

type Marks = Record<string, string>

/** Over what is wrong with no part, or with several. */
const WHOLE = 'whole appliance'

/** By the part that they are in; parts with a star first, those with nothing left last. */
export function byPart(faults: FaultName[], marks: Marks): OfPart[] {
    const groups = grouped(faults, (f) =>
        f.title.includes(': ') ? f.title.slice(0, f.title.indexOf(': ')) : 'The appliance',
    )
    return [...groups]
        .map(([part, of]) => ({ part, faults: of }))
        .sort((a, b) => rank(a.faults, marks) - rank(b.faults, marks))
}

/** By the family of their parts, in the same order. */
export function byFamily(faults: FaultName[], marks: Marks): { family: string; parts: OfPart[] }[] {
    return [...grouped(faults, (f) => (f.part ? f.family : WHOLE))]
        .sort(([, a], [, b]) => rank(a, marks) - rank(b, marks))
        .map(([family, of]) => ({ family, parts: byPart(of, marks) }))
}

function rank(of: FaultName[], marks: Marks): number {
    if (of.some((f) => marks[f.id] === 'star')) return 0
    return of.every((f) => marks[f.id] === 'out') ? 2 : 1
}

function grouped(faults: FaultName[], by: (fault: FaultName) => string): Map<string, FaultName[]> {
    const groups = new Map<string, FaultName[]>()
    for (const fault of faults) groups.set(by(fault), [...(groups.get(by(fault)) ?? []), fault])
    return groups
}
