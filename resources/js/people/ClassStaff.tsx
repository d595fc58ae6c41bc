import { HStack, Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import { useState } from 'react'
import type { CourseInFull, PeoplePage } from '@/lib/types'
import { useGrave } from '@/shell/grave'
import { ToolButton } from '@/theme/buttons'
import { Select } from '@/shell/Select'
import { t } from '@/words'

/** Who teaches or marks in a class beside the one who leads it. */
export function ClassStaff({ course, colleagues }: { course: CourseInFull; colleagues: PeoplePage['colleagues'] }) {
    const grave = useGrave()
    const [user, setUser] = useState('')
    const chosen = colleagues.find((c) => String(c.id) === user)
    const add = (part: 'teaches' | 'marks') =>
        grave(() =>
            router.post(`/courses/${course.id}/staff`, { user: Number(user), part }, { onSuccess: () => setUser('') }),
        )
    return (
        <HStack layerStyle="panel" p="3" gap="2" wrap="wrap" as="section" aria-label={t('Staff of the class')}>
            <Text flex="1" minW="220px">
                {course.leads ? t('You lead this class.') : t('{{name}} leads this class.', { name: course.leader })}{' '}
                {course.staff.map((s) => (
                    <Text as="span" key={s.id}>
                        {s.part === 'teaches' ? t('{{name}} teaches here too.', s) : t('{{name}} marks here.', s)}{' '}
                    </Text>
                ))}
            </Text>
            {course.leads &&
                course.staff.map((s) => (
                    <ToolButton key={s.id} onClick={() => router.delete(`/courses/${course.id}/staff/${s.id}`)}>
                        {t('Without {{name}}', s)}
                    </ToolButton>
                ))}
            {course.leads && colleagues.length > 0 && (
                <>
                    <Select
                        w="220px"
                        label={t('A colleague')}
                        value={user}
                        options={[
                            ['', t('A colleague')],
                            ...colleagues.map((c): [string, string] => [String(c.id), c.name]),
                        ]}
                        onChange={setUser}
                    />
                    <ToolButton disabled={!chosen?.teaches} onClick={() => add('teaches')}>
                        {t('teaches here')}
                    </ToolButton>
                    <ToolButton disabled={!chosen} onClick={() => add('marks')}>
                        {t('marks here')}
                    </ToolButton>
                </>
            )}
        </HStack>
    )
}
