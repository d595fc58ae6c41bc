import { Heading, HStack, Stack, Text, Textarea } from '@chakra-ui/react'
import { useForm } from '@inertiajs/react'
import { FileLink } from '@/lib/FileLink'
import { MainButton, ToolButton } from '@/theme/buttons'
import { OpenFile } from '@/shell/OpenFile'
import { t } from '@/words'

/** The book as a list for spreadsheets: out, and in, whole or not at all. */
export function BookList({ book }: { book: string }) {
    const form = useForm({ csv: '' })
    return (
        <Stack layerStyle="panel" p="4" gap="2" as="section" aria-label={t('As a list')}>
            <Heading as="h2" size="md">
                {t('As a list')}
            </Heading>
            <Text fontSize="note" color="faint">
                {t(
                    'The first line names the columns: unit, date, visit, at_s and value; and as needed by, meter, fault, mode, red, black, tap, note. A list with a mistake is refused whole.',
                )}
            </Text>
            <Textarea
                aria-label={t('List of readings')}
                rows={5}
                borderColor="line"
                bg="sheet"
                fontFamily="mono"
                fontSize="note"
                placeholder={'unit,date,visit,at_s,tap,value\nbay 2,2026-11-02,cold,120,manifold,3.4'}
                value={form.data.csv}
                onChange={(e) => form.setData('csv', e.target.value)}
            />
            {Object.values(form.errors)[0] && (
                <Text role="alert" fontSize="text" color="danger">
                    {Object.values(form.errors)[0]}
                </Text>
            )}
            <HStack gap="1" wrap="wrap">
                <MainButton
                    disabled={form.processing || form.data.csv.trim() === ''}
                    onClick={() => form.post(`${book}/file`, { preserveScroll: true, onSuccess: () => form.reset() })}
                >
                    {t('Take it in')}
                </MainButton>
                <OpenFile
                    label={t('Readings from a file')}
                    accept=".csv,.txt,text/csv,text/plain"
                    onFile={(file) => void file.text().then((text) => form.setData('csv', text))}
                >
                    {t('Open a file')}
                </OpenFile>
                <ToolButton asChild>
                    <FileLink href={`${book}/book.csv`}>{t('Save as CSV')}</FileLink>
                </ToolButton>
            </HStack>
        </Stack>
    )
}
