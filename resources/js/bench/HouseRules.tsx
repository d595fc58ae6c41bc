import { Box, Text } from '@chakra-ui/react'
import type { ToldRules } from '@/lib/types'

const QUESTIONS: Record<string, string> = {
    start: 'Begin',
    reference: 'Reference for volts',
    limit_test: 'A limit is tested by',
    valve_test: 'A gas valve is tested by',
    safety_jumper: 'Bridging a safety',
    valve_jumper: '24 V straight to a valve',
    flue_aside: 'Flue pipe pushed aside',
    rod_replacement: 'A flame rod is',
    after_short: 'After a short',
}

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
                House rules: {rules.title}, version {rules.version}
            </Text>
            <Text>
                Pass mark {rules.pass_mark}
                {rules.not_passed.length > 0 && `; not passed when ${rules.not_passed.join(', or ')}`}.
            </Text>
            {after.length > 0 && <Text>After the repair: {after.join(', ')}.</Text>}
            {Object.values(rules.schools).map((s) => (
                <Text key={s.question}>
                    {QUESTIONS[s.question] ?? s.question}: {s.way}.
                </Text>
            ))}
            <Text>A flame current is good from {rules.flame_ua} µA on.</Text>
            {rules.barred.length > 0 && (
                <Text color="danger">Not allowed here: {rules.barred.map((b) => b.toLowerCase()).join(', ')}.</Text>
            )}
            {rules.papers.length < 2 && (
                <Text>
                    {rules.papers.length === 0
                        ? 'Neither ladder nor code card.'
                        : rules.papers[0] === 'ladder'
                          ? 'No code card.'
                          : 'No ladder.'}
                </Text>
            )}
            {rules.stops && <Text>What would hurt is stopped before it is done, and counts as tried.</Text>}
        </Box>
    )
}
