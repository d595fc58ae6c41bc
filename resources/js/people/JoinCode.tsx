import { HStack, Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import type { CourseInFull } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** Days for which a code can be given. */
const DAYS = [1, 7, 30]

/** The code with which people come into a class by themselves: read out, or written on the wall. */
export function JoinCode({ course }: { course: CourseInFull }) {
    return (
        <HStack layerStyle="panel" p="3" gap="3" wrap="wrap" as="section" aria-label={t('Join code')}>
            {course.code === null ? (
                <>
                    <Text flex="1" minW="240px">
                        {t('No join code is open. With one, people come in by themselves at {{place}}.', {
                            place: `${window.location.origin}/join`,
                        })}
                    </Text>
                    {DAYS.map((days) => (
                        <ToolButton key={days} onClick={() => router.post(`/courses/${course.id}/code`, { days })}>
                            {days === 1 ? t('Open a code for 1 day') : t('{{days}} days', { days })}
                        </ToolButton>
                    ))}
                </>
            ) : (
                <>
                    <Text className="reading" fontSize="32px" fontWeight={600} data-testid="join-code">
                        {course.code.slice(0, 4)}-{course.code.slice(4)}
                    </Text>
                    <Text flex="1" minW="200px">
                        {t('at {{place}}, until {{until}}', {
                            place: `${window.location.origin}/join`,
                            until: course.code_until,
                        })}
                    </Text>
                    <ToolButton onClick={() => router.delete(`/courses/${course.id}/code`)}>
                        {t('Close the code')}
                    </ToolButton>
                </>
            )}
        </HStack>
    )
}
