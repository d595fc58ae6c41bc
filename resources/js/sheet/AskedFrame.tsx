import { Box, HStack, Text } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** Grades of a hint, from the least. */
const GRADES = ['where', 'circuit', 'reading'] as const

/** What hints cost; null: there are none. */
export type Prices = Record<(typeof GRADES)[number], number> | null

interface Props {
    number: number
    /** what is asked, and how it is called where it is pressed */
    title: ReactNode
    label: string
    open: boolean
    busy: boolean
    hints: string[]
    prices: Prices
    /** what was answered, and what became of it */
    said: { right: boolean | null; why: string | null } | null
    /** whether there is an answer to be given, and what gives it */
    ready: boolean
    saying: string
    onOpen: () => void
    onHint: () => void
    onSay: () => void
    /** what is picked by now */
    children: ReactNode
}

/** One question of a sheet: what is asked, and below it the hints that were taken. */
export function Question({
    number,
    title,
    label,
    open,
    hints,
    onOpen,
    picks,
    children,
}: Pick<Props, 'number' | 'title' | 'label' | 'open' | 'hints' | 'onOpen' | 'children'> & { picks?: ReactNode }) {
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
                aria-label={label}
                onClick={onOpen}
            >
                <b>{number}.</b> {title}
            </Text>
            {picks}
            {hints.map((hint) => (
                <Text key={hint} fontSize="text" role="status" mb="1">
                    {hint}
                </Text>
            ))}
            {children}
        </Box>
    )
}

/** The next hint, with what it costs; nothing where there is none left. */
export function HintButton({
    label,
    taken,
    prices,
    busy,
    onHint,
}: {
    label: string
    taken: number
    prices: Prices
    busy: boolean
    onHint: () => void
}) {
    const grade = GRADES[taken]
    if (!prices || !grade) return null
    return (
        <ToolButton px="2" disabled={busy} aria-label={label} onClick={onHint}>
            {t('Hint')} <span className="reading">−{prices[grade]}</span>
        </ToolButton>
    )
}

/** What became of an answer. */
export function Outcome({ right, why }: { right: boolean; why: string | null }) {
    return (
        <Text fontSize="text" fontWeight={700} color={right ? 'good' : 'danger'}>
            {right ? t('Right.') : t('Wrong.')}{' '}
            <Text as="span" fontWeight={400} color="ink">
                {why}
            </Text>
        </Text>
    )
}

/** Something that is asked and answered by picking: the question, the picks, hints, what became of it. */
export function AskedFrame(props: Props) {
    const { number, title, label, open, busy, hints, prices, said, ready, saying, onOpen, onHint, onSay } = props
    return (
        <Question {...{ number, title, label, open, hints, onOpen }} picks={props.children}>
            {said === null
                ? open && (
                      <HStack gap="1">
                          <MainButton disabled={busy || !ready} onClick={onSay}>
                              {saying}
                          </MainButton>
                          <HintButton
                              label={t('A hint at question {{number}}', { number })}
                              taken={hints.length}
                              {...{ prices, busy, onHint }}
                          />
                      </HStack>
                  )
                : said.right !== null && (
                      <Box aria-live="polite">
                          <Outcome right={said.right} why={said.why} />
                      </Box>
                  )}
        </Question>
    )
}
