import { Box, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import type { AskedRow as Asked } from '@/lib/generated/replies'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

const UNITS: Record<string, string> = { vac: 'V AC', vdc: 'V DC', mvdc: 'mV DC' }

/** Grades of a hint, from the least. */
const GRADES = ['where', 'circuit', 'reading'] as const

interface Props {
    row: Asked
    number: number
    /** whether its places lie under the leads on the board */
    open: boolean
    busy: boolean
    /** what hints cost, from the least; null: there are none */
    prices: Record<'where' | 'circuit' | 'reading', number> | null
    onHint: () => void
    onOpen: () => void
    /** null: OL */
    onSay: (figure: number | null) => void
}

/** One reading that is asked for: where the leads go, what somebody says it will be, what became of that. */
export function AskedRow({ row, number, open, busy, prices, onHint, onOpen, onSay }: Props) {
    const [text, setText] = useState('')
    const unit = UNITS[row.mode] ?? row.mode
    const figure = text.trim() === '' ? NaN : Number(text.replace(',', '.'))
    const places = t('Red on {{red}}, black on {{black}}', { red: row.red_name, black: row.black_name })
    const { said } = row
    return (
        <Box
            p="2"
            borderWidth="1px"
            borderColor={open ? 'copper' : 'line'}
            bg={open ? 'copperWash' : 'sheet'}
            borderRadius="md"
        >
            <Text
                as="button"
                textAlign="left"
                w="100%"
                minH="touch"
                fontSize="text"
                aria-pressed={open}
                aria-label={t('Reading {{number}}: {{places}}', { number, places })}
                onClick={onOpen}
            >
                <b>{number}.</b> {places}
            </Text>
            {row.hints.map((hint) => (
                <Text key={hint} fontSize="text" role="status" mb="1">
                    {hint}
                </Text>
            ))}
            {said === null ? (
                <HStack
                    as="form"
                    gap="1"
                    onSubmit={(e) => {
                        e.preventDefault()
                        if (Number.isFinite(figure) && !busy) onSay(figure)
                    }}
                >
                    <Input
                        aria-label={t('What the meter will show for reading {{number}}, {{unit}}', { number, unit })}
                        inputMode="decimal"
                        className="reading"
                        w="96px"
                        h="touch"
                        borderColor="line"
                        autoComplete="off"
                        value={text}
                        onFocus={onOpen}
                        onChange={(e) => setText(e.target.value)}
                    />
                    <Text fontSize="text" w="48px">
                        {unit}
                    </Text>
                    <MainButton type="submit" disabled={!Number.isFinite(figure) || busy}>
                        {t('Say it')}
                    </MainButton>
                    <ToolButton
                        aria-label={t('Say OL for reading {{number}}', { number })}
                        disabled={busy}
                        onClick={() => onSay(null)}
                    >
                        OL
                    </ToolButton>
                    {prices && row.hints.length < GRADES.length && (
                        <ToolButton
                            px="2"
                            disabled={busy}
                            aria-label={t('A hint at reading {{number}}', { number })}
                            onClick={onHint}
                        >
                            {t('Hint')} <span className="reading">−{prices[GRADES[row.hints.length]!]}</span>
                        </ToolButton>
                    )}
                </HStack>
            ) : (
                <Stack gap="0" aria-live="polite">
                    <Text fontSize="text">
                        {t('You said')} <span className="reading">{said.figure ?? 'OL'}</span> {unit}
                        {said.right !== null && (
                            <>
                                {t('. The meter shows')} <span className="reading">{said.shown}</span>.
                            </>
                        )}
                    </Text>
                    {said.right !== null && (
                        <Text fontSize="text" fontWeight={700} color={said.right ? 'good' : 'danger'}>
                            {said.right ? t('Right.') : t('Wrong.')}{' '}
                            <Text as="span" fontWeight={400} color="ink">
                                {said.why}
                            </Text>
                        </Text>
                    )}
                </Stack>
            )}
        </Box>
    )
}
