import { Box, Text } from '@chakra-ui/react'
import type { Proficiency } from '@/lib/types'
import { t } from '@/words'

/** How far somebody has come, as a bar from 0 to 100 % with how sure that is, and in figures. */
export function Span({ of, label }: { of: Proficiency | undefined; label: string }) {
    if (!of)
        return (
            <Text fontSize="note" color="faint" role="img" aria-label={t('{{label}}: not shown yet', { label })}>
                –
            </Text>
        )
    const percent = (v: number) => `${Math.round(100 * v)}%`
    return (
        <Box
            role="img"
            aria-label={t('{{label}}: {{share}}, between {{low}} and {{high}}, {{jobs}} jobs', {
                label,
                share: percent(of.share),
                low: percent(of.low),
                high: percent(of.high),
                jobs: of.jobs,
            })}
        >
            <Box position="relative" h="10px" bg="ground" borderRadius="sm" minW="90px">
                <Box
                    position="absolute"
                    h="100%"
                    left={percent(of.low)}
                    w={percent(of.high - of.low)}
                    bg="copperWash"
                    borderWidth="1px"
                    borderColor="copper"
                    borderRadius="sm"
                />
                <Box position="absolute" top="-2px" h="14px" w="3px" left={percent(of.share)} bg="copper" />
            </Box>
            <Text fontSize="fine" color="faint">
                <span className="reading">{percent(of.share)}</span> {t('of {{jobs}}', { jobs: of.jobs })}
            </Text>
        </Box>
    )
}

/** What is known of somebody, whether any is or not: an empty record comes as a list. */
export function proficiencies(of: Record<string, Proficiency> | unknown[]): Record<string, Proficiency> {
    return Array.isArray(of) ? {} : of
}
