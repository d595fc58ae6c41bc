import { Box, HStack, Stack, Text } from '@chakra-ui/react'
import type { PersonalLink } from '@/lib/types'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    course: string
    links: PersonalLink[]
    onUndo: (() => void) | undefined
    onClose: () => void
}

/** Links that were just made: shown this once, to be printed and cut, or copied. */
export function Links({ course, links, onUndo, onClose }: Props) {
    const text = links.map((l) => `${l.name}\t${l.signs_in_as}\t${l.link}`).join('\n')
    return (
        <Stack bg="copperWash" borderRadius="md" p="4" gap="3" as="section" aria-label={t('Links to hand out')}>
            <Text fontWeight={700}>
                {t('{{many}} links to hand out. They are shown now and never again; each sets one password, once.', {
                    many: links.length,
                })}
            </Text>
            <Box maxH="320px" overflowY="auto" tabIndex={0} aria-label={t('Links')} className="printed">
                {links.map((l) => (
                    <Box key={l.link} borderBottomWidth="1px" borderColor="line" py="1">
                        <Text fontWeight={700}>
                            {l.name}
                            <Text as="span" fontWeight={400}>
                                {' '}
                                · {course} · {t('signs in as')} <span className="reading">{l.signs_in_as}</span>
                            </Text>
                        </Text>
                        <Text className="reading" fontSize="note" overflowWrap="anywhere" data-link={l.name}>
                            {l.link}
                        </Text>
                    </Box>
                ))}
            </Box>
            <HStack gap="1" wrap="wrap">
                <MainButton onClick={() => window.print()}>{t('Print')}</MainButton>
                <ToolButton onClick={() => void navigator.clipboard?.writeText(text)}>{t('Copy all')}</ToolButton>
                {onUndo && <ToolButton onClick={onUndo}>{t('Undo: take these people back')}</ToolButton>}
                <ToolButton onClick={onClose}>{t('Handed out')}</ToolButton>
            </HStack>
        </Stack>
    )
}
