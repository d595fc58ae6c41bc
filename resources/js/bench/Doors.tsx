import { HStack, Popover, Portal, Stack, Text } from '@chakra-ui/react'
import type { DoorShown, Scene } from '@/lib/generated/replies'
import { ToolButton } from '@/theme/buttons'
import type { DoAct } from '@/lib/acts'
import { t } from '@/words'

interface Props {
    doors: DoorShown[]
    scene: Pick<Scene, 'open' | 'held'>
    act: DoAct
}

/** The doors of the appliance, taken off and put on, and the switches that they hold in; several behind one button. */
export function Doors({ doors, scene, act }: Props) {
    if (doors.length === 0) return null
    if (doors.length === 1) return <OneDoor door={doors[0]!} scene={scene} act={act} />
    const off = doors.filter((d) => scene.open.includes(d.id))
    return (
        <Popover.Root positioning={{ placement: 'bottom-start' }} lazyMount unmountOnExit>
            <Popover.Trigger asChild>
                <ToolButton>
                    {off.length === 0 ? t('Doors') : t('Doors ({{many}} off)', { many: off.length })}
                </ToolButton>
            </Popover.Trigger>
            <Portal>
                <Popover.Positioner>
                    <Popover.Content
                        bg="sheet"
                        borderWidth="1px"
                        borderColor="line"
                        w="auto"
                        p="3"
                        aria-label={t('Doors')}
                    >
                        <Stack gap="2">
                            {doors.map((door) => (
                                <HStack key={door.id} gap="1" role="group" aria-label={door.label}>
                                    <Text fontSize="text" flex="1" minW="120px">
                                        {door.label}
                                    </Text>
                                    <OneDoor door={door} named scene={scene} act={act} />
                                </HStack>
                            ))}
                        </Stack>
                    </Popover.Content>
                </Popover.Positioner>
            </Portal>
        </Popover.Root>
    )
}

function OneDoor({ door, named = false, scene, act }: Omit<Props, 'doors'> & { door: DoorShown; named?: boolean }) {
    const isOff = scene.open.includes(door.id)
    const isHeld = scene.held.includes(door.id)
    const which = named ? { door: door.id } : {}
    return (
        <>
            <ToolButton onClick={() => void act('door', { to: isOff ? 'shut' : 'open', ...which })}>
                {isOff ? t('Door on') : t('Door off')}
            </ToolButton>
            {door.interlock !== undefined && (
                <ToolButton
                    disabled={!isOff}
                    on={isHeld}
                    onClick={() => void act('hold', { to: isHeld ? 'released' : 'held', ...which })}
                >
                    {isHeld ? t('Release door switch') : t('Hold door switch')}
                </ToolButton>
            )}
        </>
    )
}
