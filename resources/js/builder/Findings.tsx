import { Box, Heading, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import { MainButton } from '@/theme/buttons'
import { Word } from './Word'
import type { Checked, Edit } from './types'
import { t } from '@/words'

interface Props {
    checked: Checked | null
    busy: boolean
    edit: (...edits: Edit[]) => Promise<boolean>
    onShow: (parts: string[], wires: string[]) => void
}

/** What is wrong or odd about the wiring, each with where, why and a way to mend it; and what is missing to run. */
export function Findings({ checked, busy, edit, onShow }: Props) {
    if (!checked)
        return (
            <Text fontSize="text" color="faint">
                {t('Checking…')}
            </Text>
        )
    const open = checked.findings.filter((f) => f.accepted === null)
    const aside = checked.findings.filter((f) => f.accepted !== null)
    return (
        <Stack gap="2" aria-label={t('Checks')} aria-busy={busy} as="section">
            {/* its line is kept: what is below must not move under the pointer */}
            <Text fontSize="note" color="faint" visibility={busy ? 'visible' : 'hidden'}>
                {t('Checking the change…')}
            </Text>
            {open.length === 0 && (
                <Text color="good" fontWeight={700}>
                    {t('Wiring checks passed')}
                    {aside.length > 0 ? t(', {{many}} put aside', { many: aside.length }) : ''}.
                </Text>
            )}
            {open.map((f) => (
                <One key={keyOf(f)} finding={f} edit={edit} onShow={onShow} />
            ))}
            {aside.length > 0 && (
                <details>
                    <summary>
                        <Text as="span" fontSize="text" color="copper" fontWeight={700} cursor="pointer">
                            {t('Put aside: {{many}}', { many: aside.length })}
                        </Text>
                    </summary>
                    {aside.map((f) => (
                        <One key={keyOf(f)} finding={f} edit={edit} onShow={onShow} />
                    ))}
                </details>
            )}
            {checked.lacks.length > 0 && (
                <Box borderTopWidth="1px" borderColor="line" pt="2">
                    <Heading as="h3" size="sm">
                        {t('Needed before it runs')}
                    </Heading>
                    {checked.lacks.map((l, i) => (
                        <Text key={i} fontSize="text">
                            {l.text}
                        </Text>
                    ))}
                </Box>
            )}
        </Stack>
    )
}

type Finding = Checked['findings'][number]

const keyOf = (f: Finding) => `${f.rule} ${f.parts.join(' ')} ${f.wires.join(' ')} ${f.text}`

/** One thing that was found: what, why it matters, what a fix will do, and a reason to put it aside. */
function One({ finding: f, edit, onShow }: { finding: Finding } & Pick<Props, 'edit' | 'onShow'>) {
    const [reason, setReason] = useState<string | null>(null)
    const { rule, parts, wires } = f
    return (
        <Box borderTopWidth="1px" borderColor="line" pt="1" role="group" aria-label={f.rule}>
            <Text fontSize="note" fontWeight={700} color={f.grade === 'wrong' ? 'danger' : 'faint'}>
                {f.grade === 'wrong' ? '▲ ' : '○ '}
                {f.rule}
            </Text>
            <Text fontSize="text">{f.text}</Text>
            <Text fontSize="note" color="faint">
                {f.accepted === null ? `${f.why} ${f.mend}` : t('Put aside: {{accepted}}', { accepted: f.accepted })}
            </Text>
            {f.does !== '' && f.accepted === null && (
                <Text fontSize="note">{t('Fix: {{does}}', { does: f.does })}</Text>
            )}
            <HStack gap="1" mt="1" wrap="wrap">
                <Word onClick={() => onShow(parts, wires)}>{t('Show')}</Word>
                {f.edits.length > 0 && f.accepted === null && (
                    <Word onClick={() => void edit(...f.edits)}>{t('Fix')}</Word>
                )}
                {f.accepted === null && reason === null && <Word onClick={() => setReason('')}>{t('Put aside…')}</Word>}
            </HStack>
            {reason !== null && f.accepted === null && (
                <HStack
                    as="form"
                    gap="1"
                    mt="1"
                    onSubmit={(e) => {
                        e.preventDefault()
                        if (reason.trim() !== '')
                            void edit({
                                do: 'set',
                                path: '/accepted/-',
                                value: { rule, parts, wires, reason: reason.trim() },
                            })
                    }}
                >
                    <Input
                        aria-label={t('Why it may stay: {{text}}', { text: f.text })}
                        placeholder={t('Why it may stay')}
                        maxLength={300}
                        h="touch"
                        borderColor="line"
                        value={reason}
                        onChange={(e) => setReason(e.target.value)}
                    />
                    <MainButton type="submit" disabled={reason.trim() === ''}>
                        {t('Put aside')}
                    </MainButton>
                </HStack>
            )}
        </Box>
    )
}

/** The circuits one at a time, from the supply to each load and home again. */
export function Circuits({ checked, onShow }: Pick<Props, 'checked' | 'onShow'>) {
    if (!checked)
        return (
            <Text fontSize="text" color="faint">
                {t('Checking…')}
            </Text>
        )
    const shown = checked.circuits.filter((c) => c.loads.length > 0)
    return (
        <Stack gap="3" as="section" aria-label={t('Circuits')}>
            {checked.open.length > 0 && (
                <Box>
                    <Heading as="h3" size="sm" color="danger">
                        {t('Not complete')}
                    </Heading>
                    {checked.open.map((o) => (
                        <Text key={o.words} fontSize="text">
                            {o.words}
                        </Text>
                    ))}
                </Box>
            )}
            {shown.length === 0 && (
                <Text fontSize="text" color="faint">
                    {t('No load has a way from a supply and home yet.')}
                </Text>
            )}
            {shown.map((c) => (
                <Box key={`${c.hot} ${c.return}`}>
                    <Heading as="h3" size="sm">
                        {c.title}{' '}
                        <Text as="span" fontSize="note" color="faint">
                            {c.class}
                        </Text>
                    </Heading>
                    {c.loads.map((l) => (
                        <Box key={l.load} borderTopWidth="1px" borderColor="line" py="1">
                            <Text fontSize="text">{l.words}</Text>
                            <HStack gap="2">
                                <Word onClick={() => onShow(l.parts, l.wires)}>{t('Show')}</Word>
                                <Text fontSize="note" color="faint">
                                    {l.proves ? t('proves “{{proves}}”', { proves: l.proves }) : ''}
                                    {l.ways > 1 ? t(' {{ways}} ways', { ways: l.ways }) : ''}
                                </Text>
                            </HStack>
                        </Box>
                    ))}
                </Box>
            ))}
        </Stack>
    )
}
