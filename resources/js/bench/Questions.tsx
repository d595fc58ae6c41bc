import { Stack, Text } from '@chakra-ui/react'
import type { DoAct, Fields } from '@/lib/acts'
import type { Entry } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    /** what can be asked, in words, as the server has it */
    questions: Record<string, string>
    log: readonly Entry[]
    act: DoAct
}

/** What the customer can be asked, and what he said. */
export function Questions({ questions, log, act }: Props) {
    return (
        <Stack gap="1">
            <Text fontWeight={700}>{t('Ask the customer')}</Text>
            {Object.entries(questions).map(([question, word]) => {
                const answer = [...log].reverse().find((e) => e.act.act === 'ask' && e.act['question'] === question)
                return answer ? (
                    <Text key={question} fontSize="text">
                        {word}{' '}
                        <Text as="span" fontStyle="italic">
                            “{(answer.seen as Record<string, string>)['answer']}”
                        </Text>
                    </Text>
                ) : (
                    <ToolButton
                        key={question}
                        justifyContent="flex-start"
                        whiteSpace="normal"
                        textAlign="left"
                        onClick={() => void act('ask', { question: question as Fields<'ask'>['question'] })}
                    >
                        {word}
                    </ToolButton>
                )
            })}
        </Stack>
    )
}
