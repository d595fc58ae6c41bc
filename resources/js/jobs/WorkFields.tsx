import { Field } from '@chakra-ui/react'
import type { InertiaFormProps } from '@inertiajs/react'
import type { Job } from './GiveJob'
import { HowJudged } from '@/shell/HowJudged'
import { Select } from '@/shell/Select'
import { t } from '@/words'

const HEALTHY = 'healthy'

/** Kinds of work with all that can be asked of each, as one list: what is chosen, and what it says. */
const offered = (): [string, string][] => [
    ['trace', t('Trace the fault at the bench')],
    ['return', t('Return visit: trace it with a record of the last visit and a logger')],
    ['compare', t('Compare: trace it with its sound twin beside it')],
    ['remote', t('By telephone: a customer holds the meter, and may get it wrong')],
    ...[6, 8, 12, 16].map((many): [string, string] => [`predict ${many}`, t('Predict {{many}} readings', { many })]),
    ...[3, 5].map((many): [string, string] => [`explain ${many}`, t('Explain why {{many}} loads are off', { many })]),
    ...[6, 10].map((many): [string, string] => [
        `order ${many}`,
        t('Put the sequence in order: {{many}} questions', { many }),
    ]),
    ['commission', t('Commission it: measured, every safety made to act, its sheet signed')],
    ['wire all', t('Wire it: all wires are missing')],
    ['wire control', t('Wire it: the control circuit is missing')],
    ['wire some', t('Wire it: a third of the wires is missing')],
    ['swap', t('Swap its control: another make, moved over, set and proved')],
]

const valueOf = ({ work, many, wires }: Job) => {
    if (work === 'wire') return `wire ${wires}`
    return many === 0 ? work : `${work} ${many}`
}

/** What is done in a job: the fault traced, a sheet worked, or the appliance wired. */
export function WorkFields({ form }: { form: InertiaFormProps<Job> }) {
    const { work, shown } = form.data
    const change = (to: string) => {
        const [work, how] = to.split(' ') as [Job['work'], string | undefined]
        form.setData((d) => ({
            ...d,
            work,
            many: Number(how) || 0,
            ...(work === 'commission' && {
                complaint: t('It has been set up, or overhauled. Prove it, put it right, and sign its sheet.'),
            }),
            ...(work === 'wire' && { wires: how as Job['wires'] }),
            ...((work === 'wire' || work === 'swap') && {
                fault: HEALTHY,
                pool: [],
                band: null,
                complaint:
                    work === 'swap'
                        ? t('The old control is off. Fit the new one, and put the appliance into service.')
                        : t('The parts are mounted. Wire them, and put the appliance into service.'),
            }),
        }))
    }
    const error = form.errors.work ?? form.errors.many ?? form.errors.wires
    return (
        <>
            <Field.Root invalid={!!error} gap="1">
                <Field.Label fontSize="text">{t('What is done')}</Field.Label>
                <Select label={t('What is done')} value={valueOf(form.data)} onChange={change} options={offered()} />
                <HowJudged work={work} />
                <Field.ErrorText color="danger">{error}</Field.ErrorText>
            </Field.Root>
            {work === 'wire' && (
                <Field.Root invalid={!!form.errors.shown} gap="1">
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
                    <Field.ErrorText color="danger">{form.errors.shown}</Field.ErrorText>
                </Field.Root>
            )}
        </>
    )
}
