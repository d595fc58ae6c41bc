import { HStack, Input, Stack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import type { DoAct, Fields } from '@/lib/acts'
import type { BoardData, Entry } from '@/lib/types'
import { Select } from '@/shell/Select'
import { clock } from '@/tape/scale'
import { MainButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    board: BoardData
    log: readonly Entry[]
    /** what a figure can be written down in */
    units: string[]
    act: DoAct
}

/** Places by what a person calls them. */
export function placesOf(board: BoardData): [string, string][] {
    return board.parts.flatMap((p) => p.terminals.map((t): [string, string] => [t.place, `${p.label} ${t.name}`]))
}

/** The trainee's own sheet: what he read, in what, and where. Nothing is filled in for him. */
export function Sheet({ board, log, units, act }: Props) {
    const [value, setValue] = useState('')
    const [unit, setUnit] = useState('')
    const [red, setRed] = useState('')
    const [black, setBlack] = useState('')
    const rows = log.filter((e) => e.act.act === 'write_down' && !e.refused)
    const places: [string, string][] = [['', 'where?'], ...placesOf(board)]
    const add = () => {
        if (value.trim() === '' || unit === '') return
        void act('write_down', {
            value: value.trim(),
            unit: unit as Fields<'write_down'>['unit'],
            ...(red && { red }),
            ...(black && { black }),
        })
        setValue('')
    }
    return (
        <Stack gap="2" h="100%" minH="0" overflowY="auto" tabIndex={0} aria-label={t('Your sheet')}>
            <Text fontSize="text">
                {t('The log keeps no readings on this job. Write down what you read, and where.')}
            </Text>
            <Stack
                as="form"
                gap="1"
                onSubmit={(e) => {
                    e.preventDefault()
                    add()
                }}
            >
                <HStack gap="1">
                    <Input
                        aria-label={t('Figure that you read')}
                        placeholder={t('24.3, or OL')}
                        maxLength={20}
                        h="touch"
                        w="110px"
                        flexShrink={0}
                        bg="sheet"
                        borderColor="line"
                        value={value}
                        onChange={(e) => setValue(e.target.value)}
                    />
                    <Select
                        label={t('Unit')}
                        value={unit}
                        options={[['', 'unit?'], ...units.map((u): [string, string] => [u, u])]}
                        onChange={setUnit}
                    />
                </HStack>
                <Select label={t('Place of the red lead')} value={red} options={places} onChange={setRed} />
                <Select label={t('Place of the black lead')} value={black} options={places} onChange={setBlack} />
                <MainButton type="submit" disabled={value.trim() === '' || unit === ''}>
                    {t('Write it down')}
                </MainButton>
            </Stack>
            {rows.map((e) => (
                <HStack key={e.id} fontSize="text" borderBottomWidth="1px" borderColor="line" pb="1" align="baseline">
                    <Text className="reading" color="faint">
                        {clock(e.at_s)}
                    </Text>
                    <Text>{e.text.replace(/^Wrote down /, '')}</Text>
                </HStack>
            ))}
        </Stack>
    )
}
