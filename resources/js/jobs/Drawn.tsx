import { Box, HStack, Input, Stack, Text } from '@chakra-ui/react'
import type { InertiaFormProps } from '@inertiajs/react'
import { Select } from '@/shell/Select'
import { Tick } from '@/shell/Tick'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'
import type { Job } from './GiveJob'

const GRADES = ['1', '2', '3', '4', '5'].map((g): [string, string] => [g, g])

interface Props {
    form: InertiaFormProps<Job>
    titles: Record<string, string>
    before: { id: number; title: string; course: number }[]
}

/** A fault drawn for each trainee, from a pool or a band of grades; and what must be passed before the job opens. */
export function Drawn({ form, titles, before }: Props) {
    const { fault, pool, band, after, after_mark, course } = form.data
    const all = [fault, ...pool.filter((f) => f !== fault)]
    const earlier = before.filter((b) => b.course === course)
    return (
        <details>
            <summary>
                <Text as="span" fontSize="text" fontWeight={700} cursor="pointer">
                    {t('A fault drawn for each, and the order of jobs')}
                </Text>
            </summary>
            <Stack gap="2" mt="2">
                <Text fontSize="note" color="faint">
                    {t(
                        'Each trainee gets one fault, and neighbors get different ones. A second try draws again. The customer’s complaint fits each fault.',
                    )}
                </Text>
                {band === null && (
                    <>
                        <ToolButton
                            size="sm"
                            disabled={pool.includes(fault)}
                            onClick={() => form.setData('pool', [...pool, fault])}
                        >
                            {t('Put the chosen fault in the pool')}
                        </ToolButton>
                        {pool.length > 0 && (
                            <Box as="ul" aria-label={t('Pool')}>
                                {all.map((f) => (
                                    <HStack as="li" key={f} justify="space-between" gap="1">
                                        <Text fontSize="text">{titles[f] ?? f}</Text>
                                        {pool.includes(f) && (
                                            <ToolButton
                                                size="sm"
                                                px="2"
                                                aria-label={t('Out of the pool: {{title}}', { title: titles[f] ?? f })}
                                                onClick={() =>
                                                    form.setData(
                                                        'pool',
                                                        pool.filter((x) => x !== f),
                                                    )
                                                }
                                            >
                                                ✕
                                            </ToolButton>
                                        )}
                                    </HStack>
                                ))}
                            </Box>
                        )}
                    </>
                )}
                <Tick checked={band !== null} onChange={(on) => form.setData('band', on ? [2, 3] : null)}>
                    {t('Drawn from all faults of a difficulty')}
                </Tick>
                {band !== null && (
                    <HStack>
                        <Select
                            label={t('From grade')}
                            value={String(band[0])}
                            options={GRADES}
                            onChange={(v) => form.setData('band', [Number(v), Math.max(Number(v), band[1]!)])}
                        />
                        <Text>{t('to')}</Text>
                        <Select
                            label={t('To grade')}
                            value={String(band[1])}
                            options={GRADES}
                            onChange={(v) => form.setData('band', [Math.min(Number(v), band[0]!), Number(v)])}
                        />
                    </HStack>
                )}
                {[form.errors.pool, form.errors.band].map(
                    (error) =>
                        error && (
                            <Text key={error} role="alert" color="danger" fontSize="text">
                                {error}
                            </Text>
                        ),
                )}
                {earlier.length > 0 && (
                    <>
                        <Select
                            label={t('Opens once this is passed')}
                            value={after === null ? '' : String(after)}
                            options={[
                                ['', t('Opens without another job')],
                                ...earlier.map((b): [string, string] => [
                                    String(b.id),
                                    t('After: {{title}}', { title: b.title }),
                                ]),
                            ]}
                            onChange={(v) => form.setData('after', v === '' ? null : Number(v))}
                        />
                        {after !== null && (
                            <HStack asChild>
                                <label>
                                    <Input
                                        type="number"
                                        w="90px"
                                        h="touch"
                                        borderColor="line"
                                        value={after_mark ?? ''}
                                        onChange={(e) =>
                                            form.setData(
                                                'after_mark',
                                                e.target.value === '' ? null : Number(e.target.value),
                                            )
                                        }
                                    />
                                    <Text as="span" fontSize="text">
                                        {t('mark at least; empty: a pass is enough')}
                                    </Text>
                                </label>
                            </HStack>
                        )}
                    </>
                )}
            </Stack>
        </details>
    )
}
