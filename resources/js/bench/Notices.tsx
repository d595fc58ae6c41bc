import { HStack, Text } from '@chakra-ui/react'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    away: boolean
    notice: { text: string; danger: boolean } | null
    onClear: () => void
}

/** What is said above the appliance: that the server is away, and what an act has done. */
export function Notices({ away, notice, onClear }: Props) {
    return (
        <>
            {away && (
                <HStack bg="copperWash" borderRadius="md" px="3" py="2" role="status">
                    <Text flex="1">
                        {t(
                            'The server cannot be reached. The bench stands still; what you did last waits and is done when it is back. Nothing is lost.',
                        )}
                    </Text>
                </HStack>
            )}
            {notice && (
                <HStack bg={notice.danger ? 'dangerWash' : 'copperWash'} borderRadius="md" px="3" py="2" role="alert">
                    <Text flex="1" color={notice.danger ? 'danger' : 'ink'} fontWeight={notice.danger ? 700 : 400}>
                        {notice.danger ? '▲ ' : ''}
                        {notice.text}
                    </Text>
                    <ToolButton size="sm" onClick={onClear}>
                        {t('Understood')}
                    </ToolButton>
                </HStack>
            )}
        </>
    )
}
