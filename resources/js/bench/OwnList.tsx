import { Box, Button, Checkbox, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { useMemo, useState } from 'react'
import type { Entry } from '@/lib/types'
import { ownList } from './known'

interface Props {
    log: readonly Entry[]
    act: (name: string, fields?: Record<string, unknown>) => Promise<Entry | undefined>
}

/** What the trainee means to verify and to put back: his own list, kept in the log. Nothing on it is suggested. */
export function OwnList({ log, act }: Props) {
    const items = useMemo(() => ownList(log), [log])
    const [words, setWords] = useState('')
    const add = () => {
        const item = words.trim()
        if (item === '' || items.some((i) => i.item === item)) return
        void act('todo', { item, state: 'open' })
        setWords('')
    }
    return (
        <Stack gap="2" h="100%" minH="0">
            <Text fontSize="14px">What will you verify, and what put back, before you hand it over?</Text>
            <HStack
                as="form"
                gap="1"
                onSubmit={(e) => {
                    e.preventDefault()
                    add()
                }}
            >
                <Input
                    aria-label="To verify or put back"
                    placeholder="Write it down"
                    maxLength={160}
                    h="44px"
                    bg="sheet"
                    borderColor="line"
                    value={words}
                    onChange={(e) => setWords(e.target.value)}
                />
                <Button type="submit" h="44px" bg="copper" color="onCopper" disabled={words.trim() === ''}>
                    Add
                </Button>
            </HStack>
            <Box overflowY="auto" minH="0" flex="1" role="list" aria-label="To verify and to put back" tabIndex={0}>
                {items.map(({ item, done }) => (
                    <HStack key={item} role="listitem" minH="44px" borderBottomWidth="1px" borderColor="line">
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
                                fontSize="14px"
                                fontWeight={400}
                                textDecoration={done ? 'line-through' : undefined}
                            >
                                {item}
                            </Checkbox.Label>
                        </Checkbox.Root>
                        <Button
                            size="xs"
                            h="36px"
                            minW="44px"
                            variant="outline"
                            color="ink"
                            borderColor="line"
                            aria-label={`Take off the list: ${item}`}
                            onClick={() => void act('todo', { item, state: 'gone' })}
                        >
                            ✕
                        </Button>
                    </HStack>
                ))}
                {items.length === 0 && (
                    <Text fontSize="14px" color="faint">
                        Nothing on it yet.
                    </Text>
                )}
            </Box>
        </Stack>
    )
}
