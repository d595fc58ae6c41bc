import { Box, Checkbox, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { useMemo, useState } from 'react'
import type { DoAct } from '@/lib/acts'
import type { Entry } from '@/lib/types'
import { ownList } from './known'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    log: readonly Entry[]
    act: DoAct
}

/** What the trainee means to verify and to put back: his own list, kept in the log. Nothing on it is suggested. */
export function OwnList({ log, act }: Props) {
    const items = useMemo(() => ownList(log), [log])
    const [words, setWords] = useState('')
    const [value, setValue] = useState('')
    const last = [...log].reverse().find((e) => e.act.act === 'expect' || e.reading)
    const add = () => {
        const item = words.trim()
        if (item === '' || items.some((i) => i.item === item)) return
        void act('todo', { item, state: 'open' })
        setWords('')
    }
    return (
        <Stack gap="2" h="100%" minH="0">
            <HStack
                as="form"
                gap="1"
                onSubmit={(e) => {
                    e.preventDefault()
                    if (value !== '') void act('expect', { value: Number(value) })
                    setValue('')
                }}
            >
                <Text fontSize="text" flex="1">
                    {last?.act.act === 'expect'
                        ? t('You expect {{value}} at the next reading.', { value: String(last.act['value']) })
                        : t('If all is sound, the next reading is')}
                </Text>
                <Input
                    type="number"
                    step="any"
                    aria-label={t('Figure that you expect')}
                    h="touch"
                    w="80px"
                    bg="sheet"
                    borderColor="line"
                    value={value}
                    onChange={(e) => setValue(e.target.value)}
                />
                <ToolButton type="submit" disabled={value === ''}>
                    {t('Say it')}
                </ToolButton>
            </HStack>
            <Text fontSize="text">{t('What will you verify, and what put back, before you hand it over?')}</Text>
            <HStack
                as="form"
                gap="1"
                onSubmit={(e) => {
                    e.preventDefault()
                    add()
                }}
            >
                <Input
                    aria-label={t('To verify or put back')}
                    placeholder={t('Write it down')}
                    maxLength={160}
                    h="touch"
                    bg="sheet"
                    borderColor="line"
                    value={words}
                    onChange={(e) => setWords(e.target.value)}
                />
                <MainButton type="submit" disabled={words.trim() === ''}>
                    {t('Add')}
                </MainButton>
            </HStack>
            <Box
                overflowY="auto"
                minH="0"
                flex="1"
                role="list"
                aria-label={t('To verify and to put back')}
                tabIndex={0}
            >
                {items.map(({ item, done }) => (
                    <HStack key={item} role="listitem" minH="touch" borderBottomWidth="1px" borderColor="line">
                        <Checkbox.Root
                            flex="1"
                            checked={done}
                            onCheckedChange={({ checked }) =>
                                void act('todo', { item, state: checked === true ? 'done' : 'open' })
                            }
                        >
                            <Checkbox.HiddenInput />
                            <Checkbox.Control
                                borderColor="faint"
                                _checked={{ bg: 'copper', borderColor: 'copper', color: 'onCopper' }}
                            />
                            <Checkbox.Label
                                fontSize="text"
                                fontWeight={400}
                                textDecoration={done ? 'line-through' : undefined}
                            >
                                {item}
                            </Checkbox.Label>
                        </Checkbox.Root>
                        <ToolButton
                            size="xs"
                            h="tight"
                            minW="touch"
                            aria-label={t('Take off the list: {{item}}', { item })}
                            onClick={() => void act('todo', { item, state: 'gone' })}
                        >
                            ✕
                        </ToolButton>
                    </HStack>
                ))}
                {items.length === 0 && (
                    <Text fontSize="text" color="faint">
                        {t('Nothing on it yet.')}
                    </Text>
                )}
            </Box>
        </Stack>
    )
}
