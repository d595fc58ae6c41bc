import { Box, HStack, Text } from '@chakra-ui/react'
import { type InertiaFormProps, router } from '@inertiajs/react'
import { useState } from 'react'
import type { ModelPage, SharingCourse } from '@/lib/types'
import { SharedWith } from '@/people/SharedWith'
import { Select } from '@/shell/Select'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'
import type { Job } from './GiveJob'

export type Template = ModelPage['templates'][number]

interface Props {
    form: InertiaFormProps<Job>
    templates: Template[]
    /** classes with whose staff one can be shared */
    courses: SharingCourse[]
    /** a template is laid over the form */
    onStart: (template: Template) => void
}

/** Jobs of this model that one keeps: the form is filled from one, or kept as one under its title. */
export function Templates({ form, templates, courses, onStart }: Props) {
    const [chosen, setChosen] = useState(0)
    const [error, setError] = useState<string | null>(null)
    const one = templates.find(({ id }) => id === chosen)
    const of = `/models/${form.data.appliance}/templates`
    const stay = { preserveState: true, preserveScroll: true }
    const keep = () => {
        const d = form.data
        const { title, fault, pool, visit, kind, complaint, low_battery, worn_leads, stops, rules, minutes } = d
        const job = { title, fault, pool, visit, kind, complaint, low_battery, worn_leads, stops, rules, minutes }
        const { work, many, wires, shown } = d
        router.post(
            of,
            { ...job, work, many, wires, shown },
            {
                ...stay,
                onSuccess: () => setError(null),
                onError: (errors) => setError(Object.values(errors)[0] ?? null),
            },
        )
    }
    return (
        <>
            {templates.length > 0 && (
                <HStack>
                    <Box flex="1" minW="0">
                        <Select
                            w="100%"
                            label={t('Start from a template')}
                            value={String(chosen)}
                            options={[
                                ['0', t('Start from a template…')],
                                ...templates.map(({ id, title, by }): [string, string] => [
                                    String(id),
                                    by === null ? title : `${title} (${by})`,
                                ]),
                            ]}
                            onChange={(v) => {
                                const template = templates.find(({ id }) => id === Number(v))
                                setChosen(template?.id ?? 0)
                                if (template) onStart(template)
                            }}
                        />
                    </Box>
                    {one?.may_change && (
                        <ToolButton
                            onClick={() => router.delete(`${of}/${one.id}`, { ...stay, onSuccess: () => setChosen(0) })}
                        >
                            {t('Take it out')}
                        </ToolButton>
                    )}
                </HStack>
            )}
            <HStack>
                <ToolButton flex="1" onClick={keep} disabled={form.data.title.trim() === ''}>
                    {t('Keep as a template')}
                </ToolButton>
                {one?.by === null && (
                    <SharedWith of="template" name={one.name} title={one.title} shares={one.shares} courses={courses} />
                )}
            </HStack>
            {error !== null && (
                <Text color="danger" role="alert" fontSize="text">
                    {error}
                </Text>
            )}
        </>
    )
}
