import { HStack, Input, Stack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import type { AskedRow as Asked } from '@/lib/generated/replies'
import { HintButton, Outcome, type Prices, Question } from '@/sheet/AskedFrame'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

const UNITS: Record<string, string> = { vac: 'V AC', vdc: 'V DC', mvdc: 'mV DC' }

interface Props {
    row: Asked
    number: number
    /** whether its places lie under the leads on the board */
    open: boolean
    busy: boolean
    /** what hints cost, from the least; null: there are none */
    prices: Prices
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
        <Question
            number={number}
            title={places}
            label={t('Reading {{number}}: {{places}}', { number, places })}
            open={open}
            hints={row.hints}
            onOpen={onOpen}
        >
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
                    <HintButton
                        label={t('A hint at reading {{number}}', { number })}
                        taken={row.hints.length}
                        {...{ prices, busy, onHint }}
                    />
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
                    {said.right !== null && <Outcome right={said.right} why={said.why} />}
                </Stack>
            )}
        </Question>
    )
}
