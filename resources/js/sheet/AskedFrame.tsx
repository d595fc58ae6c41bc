import { Box, HStack, Text } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** Grades of a hint, from the least. */
export const GRADES = ['where', 'circuit', 'reading'] as const

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

/** Something that is asked and answered by picking: the question, the picks, hints, what became of it. */
export function AskedFrame(props: Props) {
    const { number, title, label, open, busy, hints, prices, said, ready, saying, onOpen, onHint, onSay } = props
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
            {props.children}
            {hints.map((hint) => (
                <Text key={hint} fontSize="text" role="status" mb="1">
                    {hint}
                </Text>
            ))}
            {said === null
                ? open && (
                      <HStack gap="1">
                          <MainButton disabled={busy || !ready} onClick={onSay}>
                              {saying}
                          </MainButton>
                          {prices && hints.length < GRADES.length && (
                              <ToolButton
                                  px="2"
                                  disabled={busy}
                                  aria-label={t('A hint at question {{number}}', { number })}
                                  onClick={onHint}
                              >
                                  {t('Hint')} <span className="reading">−{prices[GRADES[hints.length]!]}</span>
                              </ToolButton>
                          )}
                      </HStack>
                  )
                : said.right !== null && (
                      <Text fontSize="text" fontWeight={700} aria-live="polite" color={said.right ? 'good' : 'danger'}>
                          {said.right ? t('Right.') : t('Wrong.')}{' '}
                          <Text as="span" fontWeight={400} color="ink">
                              {said.why}
                          </Text>
                      </Text>
                  )}
        </Box>
    )
}
