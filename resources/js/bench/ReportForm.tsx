import { Box, Checkbox, HStack, Input, Stack, Text, Textarea } from '@chakra-ui/react'
import { useState } from 'react'
import type { DoAct } from '@/lib/acts'
import type { BoardData, Entry } from '@/lib/types'
import { Select } from '@/shell/Select'
import { MainButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    board: BoardData
    log: readonly Entry[]
    act: DoAct
}

/** Entries that show something: what a report can rest on. */
export function telling(log: readonly Entry[]): [string, string][] {
    return log.flatMap((e, i): [string, string][] =>
        !e.refused && (e.reading || Object.keys(e.seen).length > 0) ? [[String(i), `${i + 1}. ${e.text}`]] : [],
    )
}

/** The closing report: cause, work, what was read before and after it, parts and time. It can be written anew. */
export function ReportForm({ board, log, act }: Props) {
    const [cause, setCause] = useState('')
    const [done, setDone] = useState<string[]>([])
    const [before, setBefore] = useState('')
    const [after, setAfter] = useState('')
    const [parts, setParts] = useState('')
    const [minutes, setMinutes] = useState('')
    const [words, setWords] = useState('')
    const wires = board.wires.map((w): [string, string] => [w.id, `${w.colour} wire ${w.from} to ${w.to}`])
    const all: [string, string][] = [...board.parts.map((p): [string, string] => [p.id, p.label]), ...wires]
    const worked = all.filter(([id]) => log.some((e) => e.act['part'] === id) || done.includes(id))
    const shown = telling(log)
    const isWritten = log.some((e) => e.act.act === 'report' && !e.refused)
    const write = () =>
        void act('report', {
            ...(cause && { cause }),
            done,
            ...(before && { before: Number(before) }),
            ...(after && { after: Number(after) }),
            ...(parts && { parts: Number(parts) }),
            ...(minutes && { minutes: Number(minutes) }),
            ...(words.trim() && { words: words.trim() }),
        })
    return (
        <Stack
            as="form"
            gap="2"
            h="100%"
            minH="0"
            overflowY="auto"
            tabIndex={0}
            aria-label={t('Closing report')}
            onSubmit={(e) => {
                e.preventDefault()
                write()
            }}
        >
            <Label text={t('The cause was')}>
                <Select
                    label={t('Cause')}
                    value={cause}
                    options={[['', t('nothing found wrong')], ...all]}
                    onChange={setCause}
                />
            </Label>
            <Label text={t('Worked on')}>
                {worked.length === 0 && (
                    <Text fontSize="note" color="faint">
                        {t('Nothing has been touched yet.')}
                    </Text>
                )}
                {worked.map(([id, name]) => (
                    <Checkbox.Root
                        key={id}
                        display="flex"
                        minH="32px"
                        checked={done.includes(id)}
                        onCheckedChange={({ checked }) =>
                            setDone(checked === true ? [...done, id] : done.filter((d) => d !== id))
                        }
                    >
                        <Checkbox.HiddenInput />
                        <Checkbox.Control
                            borderColor="faint"
                            _checked={{ bg: 'copper', borderColor: 'copper', color: 'onCopper' }}
                        />
                        <Checkbox.Label fontSize="text" fontWeight={400}>
                            {name}
                        </Checkbox.Label>
                    </Checkbox.Root>
                ))}
            </Label>
            <Label text={t('Read or seen before the work')}>
                <Select
                    label={t('Before')}
                    value={before}
                    options={[['', t('which entry?')], ...shown]}
                    onChange={setBefore}
                />
            </Label>
            <Label text={t('Read or seen after it')}>
                <Select
                    label={t('After')}
                    value={after}
                    options={[['', t('which entry?')], ...shown]}
                    onChange={setAfter}
                />
            </Label>
            <HStack gap="2">
                <Figure label={t('Parts')} value={parts} onChange={setParts} />
                <Figure label={t('Minutes of labor')} value={minutes} onChange={setMinutes} />
            </HStack>
            <Textarea
                aria-label={t('Remarks')}
                placeholder={t('Remarks')}
                maxLength={160}
                rows={2}
                bg="sheet"
                borderColor="line"
                value={words}
                onChange={(e) => setWords(e.target.value)}
            />
            <MainButton type="submit">{isWritten ? t('Write it again') : t('Write the report')}</MainButton>
            {isWritten && (
                <Text fontSize="note" role="status">
                    {t('Written. The last one counts.')}
                </Text>
            )}
        </Stack>
    )
}

function Label({ text, children }: { text: string; children: React.ReactNode }) {
    return (
        <Box>
            <Text fontSize="note" color="faint">
                {text}
            </Text>
            {children}
        </Box>
    )
}

function Figure({ label, value, onChange }: { label: string; value: string; onChange: (v: string) => void }) {
    return (
        <Box flex="1">
            <Text fontSize="note" color="faint">
                {label}
            </Text>
            <Input
                type="number"
                min={0}
                aria-label={label}
                h="touch"
                bg="sheet"
                borderColor="line"
                value={value}
                onChange={(e) => onChange(e.target.value)}
            />
        </Box>
    )
}
