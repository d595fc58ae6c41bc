import { HStack } from '@chakra-ui/react'
import type { DoAct } from '@/lib/acts'
import type { Part } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    part: Part
    /** how a lever is known to stand */
    known: (lever: string, label: string) => string | undefined
    fitted: boolean
    act: DoAct
}

/** Levers that have room beside a part; the panel has all of them. */
const LEVERS = 2

/** What hands most often do to the picked part, beside it on the board. */
export function PartBar({ part, known, fitted, act }: Props) {
    const waits = part.van === true && !fitted
    return (
        <HStack
            gap="1"
            bg="sheet"
            borderWidth="1px"
            borderColor="copper"
            borderRadius="md"
            p="1"
            boxShadow="md"
            role="toolbar"
            aria-label={t('At {{label}}', { label: part.label })}
        >
            {waits ? (
                <ToolButton onClick={() => void act('install', { part: part.id })}>{t('Fit')}</ToolButton>
            ) : (
                <>
                    <ToolButton
                        aria-label={t('Look at {{label}}', { label: part.label })}
                        onClick={() => void act('look', { part: part.id })}
                    >
                        {t('Look')}
                    </ToolButton>
                    {part.controls
                        .filter((c) => c.positions !== null)
                        .slice(0, LEVERS)
                        .map((c) => {
                            const now = known(c.lever, c.label) ?? String(c.at)
                            const to = c.positions![(c.positions!.indexOf(now) + 1) % c.positions!.length]!
                            return (
                                <ToolButton
                                    key={c.lever}
                                    aria-label={`${part.label}, ${c.label}: ${to}`}
                                    onClick={() => void act('set', { part: part.id, lever: c.lever, to })}
                                >
                                    {c.label}: {to}
                                </ToolButton>
                            )
                        })}
                    {part.resets && (
                        <ToolButton onClick={() => void act('reset', { part: part.id })}>{t('Reset')}</ToolButton>
                    )}
                </>
            )}
        </HStack>
    )
}
