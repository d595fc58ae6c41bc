import { Box, Flex, Grid, Heading, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { Link, router, useForm } from '@inertiajs/react'
import { useEffect, useState, type DragEvent } from 'react'
import { SharedWith } from '@/people/SharedWith'
import { Frame } from '@/shell/Frame'
import { Select } from '@/shell/Select'
import { MainButton, ToolButton } from '@/theme/buttons'
import type { DraftsPage } from '@/lib/types'
import { OpenFile } from '@/shell/OpenFile'
import { t } from '@/words'

/** Models that are being made; begun from nothing, from a shipped one, or from a file. */
export default function Drafts({ drafts, models, courses }: DraftsPage) {
    const form = useForm<{ title: string; region: string; model: string; file: string }>({
        title: '',
        region: 'NA',
        model: '',
        file: '',
    })
    const [over, setOver] = useState(false)
    const begin = (more: Partial<typeof form.data>) => {
        form.clearErrors()
        router.post(
            '/drafts',
            Object.fromEntries(
                Object.entries({
                    title: form.data.title,
                    region: form.data.region,
                    model: form.data.model,
                    ...more,
                }).filter(([, v]) => v !== ''),
            ),
            { onError: (e) => form.setError(e as never) },
        )
    }
    const take = (file: File | undefined) =>
        void file?.text().then((text) => begin({ file: text, title: '', model: '' }))
    useEffect(() => {
        const paste = (e: ClipboardEvent) => {
            if (e.target instanceof HTMLElement && e.target.closest('input, textarea')) return
            const file = e.clipboardData?.files[0]
            const text = e.clipboardData?.getData('text/plain') ?? ''
            if (file) take(file)
            else if (text.trim().startsWith('{')) begin({ file: text, title: '', model: '' })
        }
        window.addEventListener('paste', paste)
        return () => window.removeEventListener('paste', paste)
    })
    const drop = (e: DragEvent) => {
        e.preventDefault()
        setOver(false)
        take(e.dataTransfer.files[0])
    }
    return (
        <Frame title={t('My builds')}>
            <Grid templateColumns="1fr 360px" gap="5" alignItems="start">
                <Stack gap="3">
                    <HStack>
                        <Heading as="h1" size="2xl" flex="1">
                            {t('My builds')}
                        </Heading>
                        <ToolButton asChild>
                            <Link href="/kinds">{t('Custom parts')}</Link>
                        </ToolButton>
                    </HStack>
                    {drafts.length === 0 && <Text color="faint">{t('None yet. Start one at the right.')}</Text>}
                    {drafts.map((d) => (
                        <Flex
                            layerStyle="panel"
                            key={d.id}

                            p="4"
                            gap="4"
                            align="center"
                        >
                            <Box flex="1">
                                <Text fontWeight={700} fontSize="17px">
                                    {d.title}
                                </Text>
                                <Text fontSize="text" color="faint">
                                    {t('by')} {d.by}
                                    {t(', step')} {d.steps}, {d.at}
                                    {d.published ? t(' · published') : ''}
                                </Text>
                            </Box>
                            {d.mine && (
                                <SharedWith
                                    of="model"
                                    name={d.name}
                                    title={d.title}
                                    shares={d.shares}
                                    courses={courses}
                                />
                            )}
                            {d.mine && (
                                <ToolButton
                                    aria-label={t('Delete {{title}}', { title: d.title })}
                                    onClick={() => {
                                        if (
                                            window.confirm(
                                                t(
                                                    'Delete “{{title}}” with all its steps? A model that was made of it, and its jobs, stay.',
                                                    { title: d.title },
                                                ),
                                            )
                                        )
                                            router.delete(`/drafts/${d.id}`)
                                    }}
                                >
                                    {t('Delete')}
                                </ToolButton>
                            )}
                            <MainButton asChild>
                                <Link
                                    href={`/drafts/${d.id}`}
                                    aria-label={t('Continue with {{title}}', { title: d.title })}
                                >
                                    {t('Continue')}
                                </Link>
                            </MainButton>
                        </Flex>
                    ))}
                </Stack>
                <Stack
                    as="section"
                    aria-label={t('New model')}
                    gap="3"
                    bg="sheet"
                    borderWidth="1px"
                    borderColor={over ? 'copper' : 'line'}
                    borderRadius="md"
                    p="4"
                    onDragOver={(e) => {
                        e.preventDefault()
                        setOver(true)
                    }}
                    onDragLeave={() => setOver(false)}
                    onDrop={drop}
                >
                    <Heading as="h2" size="md">
                        {t('New model')}
                    </Heading>
                    <Box>
                        <Text fontSize="text">{t('Title')}</Text>
                        <Input
                            aria-label={t('Title')}
                            h="touch"
                            borderColor="line"
                            value={form.data.title}
                            onChange={(e) => form.setData('title', e.target.value)}
                        />
                        {form.errors.title && (
                            <Text role="alert" fontSize="text" color="danger">
                                {form.errors.title}
                            </Text>
                        )}
                    </Box>
                    <Select
                        label={t('Supply')}
                        value={form.data.region}
                        options={[
                            ['NA', '120 V, 60 Hz'],
                            ['EU', '230 V, 50 Hz'],
                        ]}
                        onChange={(v) => form.setData('region', v)}
                    />
                    <MainButton onClick={() => begin({ model: '' })}>{t('Blank board')}</MainButton>
                    <Select
                        label={t('Shipped model')}
                        value={form.data.model}
                        options={[['', 'A shipped model…'], ...models.map((m): [string, string] => [m.name, m.title])]}
                        onChange={(v) => form.setData('model', v)}
                    />
                    <ToolButton disabled={form.data.model === ''} onClick={() => begin({})}>
                        {t('Copy of that model')}
                    </ToolButton>
                    <OpenFile
                        label={t('Model from a file')}
                        accept=".json,application/json"
                        onFile={(file) => take(file)}
                    >
                        {t('From a file; or drop or paste it here')}
                    </OpenFile>
                    {form.errors.file && (
                        <Text role="alert" fontSize="text" color="danger" overflowWrap="anywhere">
                            {form.errors.file}
                        </Text>
                    )}
                </Stack>
            </Grid>
        </Frame>
    )
}
