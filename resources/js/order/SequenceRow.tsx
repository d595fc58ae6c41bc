import { HStack, Stack, Text } from '@chakra-ui/react'
import type { AskedOfSequence } from '@/lib/generated/replies'
import { AskedFrame, type Prices } from '@/sheet/AskedFrame'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    row: AskedOfSequence
    number: number
    open: boolean
    busy: boolean
    /** ids of what is picked by now, or was given */
    picked: string[]
    prices: Prices
    onOpen: () => void
    onPick: (picked: string[]) => void
    onHint: () => void
    onSay: () => void
}

/** One question of a sequence: an answer picked, or steps pressed in their order. */
export function SequenceRow({ row, number, picked, onPick, ...rest }: Props) {
    const { said, choices } = row
    const inOrder = row.sort === 'order'
    const textOf = (id: string) => choices.find((c) => c.id === id)?.text ?? id
    const left = choices.filter((c) => !picked.includes(c.id))
    const earlier = (at: number) => {
        const next = [...picked]
        next.splice(at - 1, 0, ...next.splice(at, 1))
        onPick(next)
    }
    return (
        <AskedFrame
            number={number}
            title={row.prompt}
            label={t('Question {{number}}: {{title}}', { number, title: row.prompt })}
            hints={row.hints}
            said={said}
            ready={inOrder ? left.length === 0 : picked.length === 1}
            saying={inOrder ? t('That is the order') : t('That is it')}
            {...rest}
        >
            {(inOrder || said !== null) && (
                <Stack as="ol" gap="1" mb="1" aria-label={t('Your answer to question {{number}}', { number })}>
                    {picked.map((id, i) => (
                        <HStack as="li" key={id} gap="1" listStyleType="none">
                            <Text fontSize="text" flex="1">
                                {inOrder && <span className="reading">{i + 1} </span>}
                                {textOf(id)}
                            </Text>
                            {said === null && (
                                <>
                                    <ToolButton
                                        size="sm"
                                        disabled={i === 0}
                                        aria-label={t('One earlier: {{what}}', { what: textOf(id) })}
                                        onClick={() => earlier(i)}
                                    >
                                        ↑
                                    </ToolButton>
                                    <ToolButton
                                        size="sm"
                                        aria-label={t('Take out: {{what}}', { what: textOf(id) })}
                                        onClick={() => onPick(picked.filter((p) => p !== id))}
                                    >
                                        ×
                                    </ToolButton>
                                </>
                            )}
                        </HStack>
                    ))}
                </Stack>
            )}
            {said === null && rest.open && (
                <Stack gap="1" mb="2" role="group" aria-label={t('Answers to question {{number}}', { number })}>
                    {(inOrder ? left : choices).map((c) => (
                        <ToolButton
                            key={c.id}
                            h="auto"
                            minH="touch"
                            py="1"
                            justifyContent="start"
                            textAlign="left"
                            whiteSpace="normal"
                            fontWeight={400}
                            on={inOrder ? undefined : picked.includes(c.id)}
                            onClick={() => onPick(inOrder ? [...picked, c.id] : [c.id])}
                        >
                            {c.text}
                        </ToolButton>
                    ))}
                </Stack>
            )}
        </AskedFrame>
    )
}
