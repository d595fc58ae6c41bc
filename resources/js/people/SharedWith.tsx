import { Popover, Portal, Stack, Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import type { Sharing, SharingCourse } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'
import { Select } from '@/shell/Select'

interface Props {
    of: 'model' | 'kind' | 'template' | 'rules'
    name: string
    title: string
    shares: Sharing[]
    courses: SharingCourse[]
}

/** With whom something of one's own is shared, and what they may do with it. */
export function SharedWith({ of, name, title, shares, courses }: Props) {
    const settle = (course: number | null, may: string) =>
        router.post('/shares', { of, name, course, may }, { preserveScroll: true, preserveState: true })
    const line = (course: number | null, label: string) => (
        <Stack gap="0" key={course ?? 'all'}>
            <Text fontSize="text">{label}</Text>
            <Select
                label={label}
                value={shares.find((s) => s.course === course)?.may ?? 'nothing'}
                options={[
                    ['nothing', t('nothing')],
                    ['read', t('look at it and use it')],
                    ['edit', t('change it too')],
                ]}
                onChange={(may) => settle(course, may)}
            />
        </Stack>
    )
    return (
        <Popover.Root positioning={{ placement: 'bottom-start' }} lazyMount unmountOnExit>
            <Popover.Trigger asChild>
                <ToolButton aria-label={t('Who may use {{title}}', { title })}>
                    {shares.length === 0 ? t('Yours alone') : t('Shared')}
                </ToolButton>
            </Popover.Trigger>
            <Portal>
                <Popover.Positioner>
                    <Popover.Content bg="sheet" borderWidth="1px" borderColor="line" w="320px" maxW="94vw" p="4">
                        <Stack gap="3">
                            <Text fontWeight={700}>{t('What others may do with it')}</Text>
                            {line(null, t('All who teach at the school'))}
                            {courses.map((c) => line(c.id, t('Those who teach in {{name}}', { name: c.name })))}
                        </Stack>
                    </Popover.Content>
                </Popover.Positioner>
            </Portal>
        </Popover.Root>
    )
}
