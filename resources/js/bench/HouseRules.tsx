import { Box, Text } from '@chakra-ui/react'
import type { ToldRules } from '@/lib/types'
import { t } from '@/words'

/** What of the house rules binds the trainee at this job, in his words. */
export function HouseRules({ rules }: { rules: ToldRules }) {
    const after = [
        rules.verify.cycle && 'a heating cycle watched',
        rules.verify.safeties === 'each' && 'each safety made to act',
        rules.verify.safeties === 'one' && 'a safety made to act',
        rules.verify.reading && 'a reading taken',
        rules.verify.restore && 'everything put back',
    ].filter(Boolean)
    return (
        <Box fontSize="text">
            <Text fontWeight={700}>
                {t('House rules: {{title}}, version {{version}}', { title: rules.title, version: rules.version })}
            </Text>
            <Text>
                {t('Pass mark')} {rules.pass_mark}
                {rules.not_passed.length > 0 &&
                    t('; not passed when {{not_passed}}', { not_passed: rules.not_passed.join(', or ') })}
                .
            </Text>
            {after.length > 0 && <Text>{t('After the repair: {{after}}.', { after: after.join(', ') })}</Text>}
            {Object.values(rules.schools).map((s) => (
                <Text key={s.question}>
                    {s.question}: {s.way}.
                </Text>
            ))}
            <Text>{t('A flame current is good from {{flame_ua}} µA on.', { flame_ua: rules.flame_ua })}</Text>
            {rules.barred.length > 0 && (
                <Text color="danger">
                    {t('Not allowed here: {{value}}.', { value: rules.barred.map((b) => b.toLowerCase()).join(', ') })}
                </Text>
            )}
            {rules.papers.length < 2 && (
                <Text>
                    {rules.papers.length === 0
                        ? t('Neither ladder nor code card.')
                        : rules.papers[0] === 'ladder'
                          ? t('No code card.')
                          : t('No ladder.')}
                </Text>
            )}
            {rules.own_sheet && (
                <Text>{t('The log keeps no readings: you write down what you read, and it is judged.')}</Text>
            )}
            {rules.report && <Text>{t('A closing report is asked for, and judged.')}</Text>}
            {rules.stops && <Text>{t('What would hurt is stopped before it is done, and counts as tried.')}</Text>}
        </Box>
    )
}
