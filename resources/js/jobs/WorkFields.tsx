import { Field } from '@chakra-ui/react'
import type { InertiaFormProps } from '@inertiajs/react'
import type { Job } from './GiveJob'
import { Select } from '@/shell/Select'
import { t } from '@/words'

const HEALTHY = 'healthy'

const valueOf = ({ predictions, explanations, wires }: Job) => {
    if (wires) return `wire ${wires}`
    if (explanations > 0) return `explain ${explanations}`
    return predictions > 0 ? `predict ${predictions}` : 'trace'
}

/** What is done in a job: the fault traced, readings said before they are taken, or the appliance wired. */
export function WorkFields({ form }: { form: InertiaFormProps<Job> }) {
    const { wires, shown } = form.data
    const change = (to: string) => {
        const [work, how] = to.split(' ') as [string, string]
        form.setData((d) => ({
            ...d,
            predictions: work === 'predict' ? Number(how) : 0,
            explanations: work === 'explain' ? Number(how) : 0,
            wires: work === 'wire' ? (how as Job['wires']) : null,
            ...(work === 'wire' && {
                fault: HEALTHY,
                pool: [],
                band: null,
                complaint: t('The parts are mounted. Wire them, and put the appliance into service.'),
            }),
        }))
    }
    return (
        <>
            <Field.Root invalid={!!(form.errors.predictions ?? form.errors.explanations)} gap="1">
                <Field.Label fontSize="text">{t('What is done')}</Field.Label>
                <Select
                    label={t('What is done')}
                    value={valueOf(form.data)}
                    onChange={change}
                    options={[
                        ['trace', t('Trace the fault at the bench')],
                        ...[6, 8, 12, 16].map((many): [string, string] => [
                            `predict ${many}`,
                            t('Predict {{many}} readings', { many }),
                        ]),
                        ...[3, 5].map((many): [string, string] => [
                            `explain ${many}`,
                            t('Explain why {{many}} loads are off', { many }),
                        ]),
                        ['wire all', t('Wire it: all wires are missing')],
                        ['wire control', t('Wire it: the control circuit is missing')],
                        ['wire some', t('Wire it: a third of the wires is missing')],
                    ]}
                />
                <Field.ErrorText color="danger">{form.errors.predictions ?? form.errors.explanations}</Field.ErrorText>
            </Field.Root>
            {wires && (
                <Field.Root invalid={!!form.errors.wires} gap="1">
                    <Field.Label fontSize="text">{t('What there is to wire by')}</Field.Label>
                    <Select
                        label={t('What there is to wire by')}
                        value={shown}
                        onChange={(v) => form.setData('shown', v as Job['shown'])}
                        options={[
                            ['drawing', t('The ladder, and the sequence in sentences')],
                            ['picture', t('A picture of how it was wired, and the sequence')],
                            ['sequence', t('The sequence in sentences alone')],
                        ]}
                    />
                    <Field.ErrorText color="danger">{form.errors.wires}</Field.ErrorText>
                </Field.Root>
            )}
        </>
    )
}
