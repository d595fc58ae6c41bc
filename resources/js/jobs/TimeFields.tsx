import { Grid, Input, Text } from '@chakra-ui/react'
import { t } from '@/words'

export interface TimeOfJob {
    opens: string
    closes: string
    minutes: string
}

interface Props {
    value: TimeOfJob
    errors: Partial<Record<string, string>>
    onChange: (value: TimeOfJob) => void
}

/** When a job opens and closes, and how long each may take; any of them may be left empty. */
export function TimeFields({ value, errors, onChange }: Props) {
    const problem = errors['opens_at'] ?? errors['closes_at'] ?? errors['minutes']
    const field = (label: string, key: keyof TimeOfJob, type: string) => (
        <label>
            <Text fontSize="note">{label}</Text>
            <Input
                type={type}
                h="touch"
                borderColor="line"
                bg="sheet"
                min={type === 'number' ? 1 : undefined}
                max={type === 'number' ? 600 : undefined}
                value={value[key]}
                onChange={(e) => onChange({ ...value, [key]: e.target.value })}
            />
        </label>
    )
    return (
        <>
            <Grid templateColumns="repeat(auto-fit, minmax(190px, 1fr))" gap="1">
                {field(t('Opens'), 'opens', 'datetime-local')}
                {field(t('Closes'), 'closes', 'datetime-local')}
                {field(t('Minutes each'), 'minutes', 'number')}
            </Grid>
            {problem && (
                <Text role="alert" color="danger" fontSize="text">
                    {problem}
                </Text>
            )}
        </>
    )
}
