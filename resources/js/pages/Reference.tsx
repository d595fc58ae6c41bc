import { Box, Grid, Heading, HStack, Input, NativeSelect, Stack, Text } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { send } from '@/lib/send'
import { useSettled } from '@/lib/useSettled'
import { Frame } from '@/shell/Frame'
import { HowJudged } from '@/shell/HowJudged'
import type { ReferencePage, Sum, SumResult } from '@/lib/types'
import { t } from '@/words'

/** Values to hold readings against, and sums done beside the appliance. */
export default function Reference({ groups, sums }: ReferencePage) {
    return (
        <Frame title={t('Reference card')} full>
            <Grid h="100%" gap="2" templateColumns="minmax(0,1fr) minmax(0,1fr)">
                <Box layerStyle="panel" minH="0" overflowY="auto" p="3" tabIndex={0} aria-label={t('Reference card')}>
                    <Heading as="h1" size="lg" mb="2">
                        {t('Reference card')}
                    </Heading>
                    <HowJudged />
                    {groups.map((g) => (
                        <Box key={g.title} mb="3">
                            <Heading as="h2" size="sm">
                                {g.title}
                            </Heading>
                            <Box as="dl" fontSize="text">
                                {g.rows.map((r) => (
                                    <Grid
                                        key={r.what}
                                        templateColumns="210px 1fr"
                                        gap="2"
                                        py="1"
                                        borderBottomWidth="1px"
                                        borderColor="line"
                                    >
                                        <Box as="dt" fontWeight={700}>
                                            {r.what}
                                        </Box>
                                        <Box as="dd">
                                            {r.value}
                                            <Text as="span" color="faint" fontSize="note">
                                                {' '}
                                                ({r.source})
                                            </Text>
                                        </Box>
                                    </Grid>
                                ))}
                            </Box>
                        </Box>
                    ))}
                    <Text fontSize="note" color="faint">
                        {t("The maker's instructions and local codes come before all of these.")}
                    </Text>
                </Box>
                <Stack minH="0" overflowY="auto" gap="2" tabIndex={0} aria-label={t('Bench sums')}>
                    {Object.entries(sums).map(([id, sum]) => (
                        <SumCard key={id} id={id} sum={sum} />
                    ))}
                </Stack>
            </Grid>
        </Frame>
    )
}

/** Milliseconds without a key after which it is reckoned. */
const TYPED_MS = 250

function SumCard({ id, sum }: { id: string; sum: Sum }) {
    const [with_, setWith] = useState<Record<string, string>>(() =>
        Object.fromEntries(Object.entries(sum.inputs).map(([k, i]) => [k, String(i.at)])),
    )
    const settled = useSettled(with_, TYPED_MS)
    const sums = useQuery<SumResult[]>({
        queryKey: ['sum', id, settled],
        queryFn: ({ signal }) => {
            const figures = Object.fromEntries(
                Object.entries(settled)
                    .filter(([, v]) => v.trim() !== '')
                    .map(([k, v]) => [k, Number(v)]),
            )
            return send<SumResult[]>('POST', `/reference/sums/${id}`, { with: figures }, signal)
        },
        placeholderData: (before) => before,
    })
    const results = sums.error ? [] : (sums.data ?? [])
    const problem = sums.error?.message ?? null
    return (
        <Box
            layerStyle="panel"
            as="section"
            aria-label={sum.title}

            p="3"
        >
            <Heading as="h2" size="sm">
                {sum.title}
            </Heading>
            <Grid templateColumns="1fr 1fr" columnGap="5" mt="1">
                {Object.entries(sum.inputs).map(([name, input]) => (
                    <HStack key={name} minH="touch">
                        <Text flex="1" fontSize="text">
                            {input.label}
                        </Text>
                        {input.choices ? (
                            <NativeSelect.Root w="88px">
                                <NativeSelect.Field
                                    aria-label={`${sum.title}: ${input.label}`}
                                    h="row"
                                    borderColor="line"
                                    value={with_[name]}
                                    onChange={(e) => setWith({ ...with_, [name]: e.target.value })}
                                >
                                    {input.choices.map((c) => (
                                        <option key={c} value={c}>
                                            {c}
                                        </option>
                                    ))}
                                </NativeSelect.Field>
                                <NativeSelect.Indicator />
                            </NativeSelect.Root>
                        ) : (
                            <Input
                                aria-label={`${sum.title}: ${input.label}`}
                                className="reading"
                                w="88px"
                                h="row"
                                textAlign="right"
                                borderColor="line"
                                inputMode="decimal"
                                value={with_[name]}
                                onChange={(e) => setWith({ ...with_, [name]: e.target.value })}
                            />
                        )}
                        <Text w="50px" fontSize="note" color="faint">
                            {input.unit}
                        </Text>
                    </HStack>
                ))}
            </Grid>
            <HStack gap="5" mt="1" role="status" wrap="wrap">
                {results.map((r) => (
                    <Text key={r.label} fontWeight={700}>
                        {r.label}{' '}
                        <span className="reading">
                            {r.value.toFixed(r.digits)} {r.unit}
                        </span>
                    </Text>
                ))}
                {problem && <Text color="danger">{problem}</Text>}
            </HStack>
            <Text fontSize="note" color="faint">
                {sum.formula} ({sum.source})
            </Text>
        </Box>
    )
}
