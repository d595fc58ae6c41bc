import { Stack, Text } from '@chakra-ui/react'
import type { DoAct, Fields } from '@/lib/acts'
import type { Entry } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'

const QUESTIONS: { question: Fields<'ask'>['question']; word: string }[] = [
    { question: 'since', word: 'Since when?' },
    { question: 'display', word: 'What does the thermostat show?' },
    { question: 'outside', word: 'Are any lights or codes showing?' },
    { question: 'noise', word: 'Any noise?' },
    { question: 'smell', word: 'Any smell?' },
    { question: 'rooms', word: 'Which rooms are cold, and which too warm?' },
    { question: 'touched', word: 'What have you done to it yourself?' },
    { question: 'filter', word: 'When was the filter changed?' },
    { question: 'work', word: 'Any electrical work lately?' },
]

interface Props {
    log: readonly Entry[]
    act: DoAct
}

/** What the customer can be asked, and what he said. */
export function Questions({ log, act }: Props) {
    return (
        <Stack gap="1">
            <Text fontWeight={700}>Ask the customer</Text>
            {QUESTIONS.map(({ question, word }) => {
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
                        onClick={() => void act('ask', { question })}
                    >
                        {word}
                    </ToolButton>
                )
            })}
        </Stack>
    )
}
