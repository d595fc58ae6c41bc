import { Box, HStack, Stack, Text, Textarea } from '@chakra-ui/react'
import { useState } from 'react'
import { useSent } from '@/lib/query'
import type { Enrolled, RosterPreview, RosterText } from '@/lib/types'
import { MainButton, ToolButton } from '@/theme/buttons'
import { OpenFile } from '@/shell/OpenFile'
import { t } from '@/words'

interface Props {
    course: number
    onEnrolled: (enrolled: Enrolled) => void
}

/** People from a list or a spreadsheet: looked at line by line, then added, all of them or nobody. */
export function Roster({ course, onEnrolled }: Props) {
    const [csv, setCsv] = useState('')
    const [open, setOpen] = useState(false)
    const look = useSent<RosterPreview, { csv: string }>(`/courses/${course}/roster/preview`)
    const add = useSent<Enrolled, { csv: string }>(`/courses/${course}/roster`, {
        onDone: (enrolled) => {
            setOpen(false)
            setCsv('')
            look.reset()
            onEnrolled(enrolled)
        },
    })
    const rows = look.data?.rows
    const wrong = rows?.filter((r) => r.error !== null) ?? []
    const write = (text: string) => {
        setCsv(text)
        look.reset()
        add.reset()
    }
    const workbook = useSent<RosterText, { file: string }>(`/courses/${course}/roster/read`, {
        onDone: ({ csv: text }) => write(text),
    })
    const take = async (file: File | undefined) => {
        if (!file) return
        if (!file.name.toLowerCase().endsWith('.xlsx')) {
            write(await file.text())
            return
        }
        const bytes = new Uint8Array(await file.arrayBuffer())
        workbook.mutate({ file: btoa(Array.from(bytes, (b) => String.fromCharCode(b)).join('')) })
    }
    if (!open)
        return (
            <ToolButton alignSelf="flex-start" onClick={() => setOpen(true)}>
                {t('Add people from a list')}
            </ToolButton>
        )
    return (
        <Stack layerStyle="panel" p="3" gap="2" as="section" aria-label={t('People from a list')}>
            <Text fontSize="text">
                {t(
                    'One person a line: name, and mail address if there is one. Paste it from a spreadsheet, or open a file.',
                )}
            </Text>
            <Textarea
                aria-label={t('List of people')}
                rows={6}
                borderColor="line"
                bg="sheet"
                fontFamily="mono"
                fontSize="text"
                placeholder={'name,mail\nAnnika,annika@school.example\nHeron'}
                value={csv}
                onChange={(e) => write(e.target.value)}
            />
            <HStack gap="1" wrap="wrap">
                <MainButton disabled={csv.trim() === '' || look.isPending} onClick={() => look.mutate({ csv })}>
                    {t('Look it over')}
                </MainButton>
                <OpenFile
                    label={t('List from a file')}
                    accept=".csv,.txt,.xlsx,text/csv,text/plain"
                    onFile={(file) => void take(file)}
                >
                    {t('Open a file')}
                </OpenFile>
                <ToolButton onClick={() => setOpen(false)}>{t('Cancel')}</ToolButton>
            </HStack>
            {(look.error ?? add.error ?? workbook.error) && (
                <Text role="alert" color="danger">
                    {(look.error ?? add.error ?? workbook.error)?.message}
                </Text>
            )}
            {rows && (
                <>
                    <Text fontWeight={700} color={wrong.length > 0 ? 'danger' : 'good'} role="status">
                        {wrong.length > 0
                            ? t('{{wrong}} of {{all}} lines need mending. Nobody is added until all are right.', {
                                  wrong: wrong.length,
                                  all: rows.length,
                              })
                            : t('{{all}} people, nothing to mend.', { all: rows.length })}
                    </Text>
                    <Box maxH="240px" overflowY="auto" tabIndex={0} aria-label={t('The list, line by line')}>
                        {[...wrong, ...rows.filter((r) => r.error === null)].map((r) => (
                            <Text key={r.line} fontSize="text" color={r.error ? 'danger' : undefined}>
                                <span className="reading">{r.line}</span> {r.name || '–'} {r.mail}
                                {r.error ? ` ▲ ${r.error}` : ''}
                            </Text>
                        ))}
                    </Box>
                    {wrong.length === 0 && rows.length > 0 && (
                        <MainButton alignSelf="flex-start" disabled={add.isPending} onClick={() => add.mutate({ csv })}>
                            {t('Add {{all}} people', { all: rows.length })}
                        </MainButton>
                    )}
                </>
            )}
        </Stack>
    )
}
