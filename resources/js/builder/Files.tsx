import { Box, Button, Heading, HStack, Stack, Text, Textarea } from '@chakra-ui/react'
import { useState, type DragEvent } from 'react'
import { FileLink } from '@/lib/FileLink'
import { Field } from './Field'
import { Word } from './Word'
import type { Edit } from './types'
import { OpenFile } from '@/shell/OpenFile'
import { t } from '@/words'

const OUT = [
    ['model.json', 'The model, as a document'],
    ['wires.csv', 'Its wires, as a list for a spreadsheet'],
    ['netlist.cir', 'Its circuit, for a simulator'],
    ['board.svg', 'Board, drawn'],
    ['board.pdf', 'Board, for paper'],
    ['ladder.svg', 'Ladder, drawn'],
    ['ladder.pdf', 'Ladder, for paper'],
    ['sequence.svg', 'Sequence in time, drawn'],
    ['sequence.pdf', 'Sequence in time, for paper'],
] as const

interface Props {
    draft: number
    about: { author?: string; licence?: string }
    edit: (...edits: Edit[]) => Promise<boolean>
}

/** Out as files that others can read; a wire list in, by file, drop or paste. */
export function Files({ draft, about, edit }: Props) {
    const [csv, setCsv] = useState('')
    const [over, setOver] = useState(false)
    const drop = (e: DragEvent) => {
        e.preventDefault()
        setOver(false)
        void e.dataTransfer.files[0]?.text().then(setCsv)
    }
    return (
        <Stack gap="3" as="section" aria-label={t('Files')}>
            <Box>
                <Heading as="h3" size="sm">
                    {t('Out')}
                </Heading>
                <Text fontSize="note" color="faint">
                    {t('The document takes its custom parts along, and the jobs that you have given on it.')}
                </Text>
                <HStack gap="2" my="2" align="flex-end">
                    <Field
                        label={t('Author')}
                        value={about.author ?? ''}
                        onSet={(author) => void edit({ do: 'set', path: '/about/author', value: author || null })}
                    />
                    <Field
                        label={t('License')}
                        value={about.licence ?? ''}
                        onSet={(licence) => void edit({ do: 'set', path: '/about/licence', value: licence || null })}
                    />
                </HStack>
                {OUT.map(([what, words]) => (
                    <Button
                        key={what}
                        asChild
                        variant="ghost"
                        h="row"
                        w="100%"
                        justifyContent="flex-start"
                        px="2"
                        fontSize="text"
                        fontWeight={400}
                        color="ink"
                    >
                        <FileLink href={`/drafts/${draft}/files/${what}`}>
                            {words}{' '}
                            <Text as="span" color="faint" fontSize="note">
                                {what}
                            </Text>
                        </FileLink>
                    </Button>
                ))}
            </Box>
            <Box
                onDragOver={(e) => {
                    e.preventDefault()
                    setOver(true)
                }}
                onDragLeave={() => setOver(false)}
                onDrop={drop}
            >
                <Heading as="h3" size="sm">
                    {t('Import a wire list')}
                </Heading>
                <Text fontSize="note" color="faint">
                    {t(
                        'The first line names the columns: from and to, and if you like id, colour, awg, feet, mm2, metres, tag, cable. Places are written as on the board: “Limit a” or limit.a. A list with a mistake is refused whole.',
                    )}
                </Text>
                <Textarea
                    aria-label={t('Wire list')}
                    rows={6}
                    mt="1"
                    borderColor={over ? 'copper' : 'line'}
                    fontFamily="mono"
                    fontSize="note"
                    placeholder={'from,to,colour\nPanel L,Breaker line,black'}
                    value={csv}
                    onChange={(e) => setCsv(e.target.value)}
                />
                <HStack gap="1" mt="1">
                    <OpenFile
                        h="row"
                        fontSize="text"
                        label={t('Wire list from a file')}
                        accept=".csv,.txt,text/csv"
                        onFile={(file) => void file.text().then(setCsv)}
                    >
                        {t('From a file')}
                    </OpenFile>
                    <Word
                        disabled={csv.trim() === ''}
                        onClick={() => void edit({ do: 'wire_list', csv }).then((done) => done && setCsv(''))}
                    >
                        {t('Import')}
                    </Word>
                </HStack>
            </Box>
        </Stack>
    )
}
