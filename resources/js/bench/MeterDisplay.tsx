import { Flex, HStack, Text } from '@chakra-ui/react'
import type { Reading, Scene } from '@/lib/types'
import { clock } from '@/tape/scale'
import { t } from '@/words'

interface Props {
    scene: Scene
    reading: Reading | undefined
    /** it is on its way to another figure */
    moving: boolean
    /** seconds since the arrival */
    time: number
    names: { red: string; black: string }
}

/** The display: the value large, where and when, whether it has settled, least and most. */
export function MeterDisplay({ scene, reading, moving, time, names }: Props) {
    const isOn = scene.red !== null && scene.black !== null
    const flags = [
        scene.range !== null && 'range by hand',
        scene.battery === 'low' && 'battery low',
        isOn && (moving ? 'settling' : reading?.unsteady ? 'unsteady' : reading && 'settled'),
    ].filter(Boolean)
    return (
        <Flex
            direction="column"
            bg="lcd"
            color="lcdInk"
            borderRadius="sm"
            px="2"
            py="1"
            borderWidth="1px"
            borderColor="line"
            position="sticky"
            top="0"
            zIndex="1"
            lineHeight="1.2"
        >
            <HStack justify="space-between" fontSize="fine" minH="15px">
                <Text>{flags.map((flag) => t(flag as string)).join(' · ')}</Text>
                <Text className="reading">{isOn ? clock(time) : ''}</Text>
            </HStack>
            <Text
                className="reading"
                fontSize={{ base: '22px', md: '30px' }}
                whiteSpace="nowrap"
                fontWeight={600}
                textAlign="end"
                data-testid="display"
                aria-live="polite"
            >
                {moving
                    ? '· · ·'
                    : reading?.unsteady
                      ? '~ ~ ~'
                      : (reading?.text.replace(/ \(least.*\)|, battery low/g, '') ?? (isOn ? '· · ·' : '– – –'))}
            </Text>
            <Text
                fontSize="fine"
                minH="15px"
                truncate
                title={isOn ? t('{{red}} to {{black}}', { red: names.red, black: names.black }) : undefined}
            >
                {scene.keeping && reading?.least != null && reading.most != null
                    ? t('min {{figure}} · max {{figure2}}', {
                          figure: figure(reading.least, reading.step),
                          figure2: figure(reading.most, reading.step),
                      })
                    : isOn
                      ? t('{{red}} to {{black}}', { red: names.red, black: names.black })
                      : scene.keeping
                        ? t('min and max kept')
                        : ''}
            </Text>
        </Flex>
    )
}

/** With as many digits as the display has. */
function figure(value: number, step: number): string {
    return value.toFixed(Math.max(0, Math.min(6, Math.ceil(-Math.log10(step) - 1e-9))))
}
