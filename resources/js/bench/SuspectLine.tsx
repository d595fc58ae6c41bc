import { Box, HStack } from '@chakra-ui/react'
import { useDrag } from '@use-gesture/react'
import { useState, type ReactNode } from 'react'
import type { DoAct } from '@/lib/acts'
import type { FaultName } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    fault: FaultName
    mark: 'star' | 'out' | 'open'
    named?: boolean
    act: DoAct
    /** what more can be said of it is in view */
    isOpen?: boolean
    onOpen?: () => void
    children?: ReactNode
}

/** How far a finger draws a line aside until that says something, px. */
const SWIPE = 64

/**
 * One suspect in one line. Star and strike with the buttons, with the keys s and x, or by drawing the line to the right
 * or to the left; the arrows go to the next.
 */
export function SuspectLine({ fault, mark, named = false, act, isOpen, onOpen, children }: Props) {
    const [aside, setAside] = useState(0)
    const set = (to: 'star' | 'out') => void act('suspect', { fault: fault.id, mark: mark === to ? 'open' : to })
    const drag = useDrag(
        ({ movement: [x], last, tap }) => {
            setAside(last ? 0 : x)
            if (last && !tap && Math.abs(x) >= SWIPE) set(x > 0 ? 'star' : 'out')
        },
        { axis: 'x', filterTaps: true, pointer: { touch: true, keys: false } },
    )
    return (
        <Box
            role="listitem"
            borderBottomWidth="1px"
            borderColor="line"
            bg={aside >= SWIPE ? 'copperWash' : aside <= -SWIPE ? 'dangerWash' : named ? 'copperWash' : undefined}
            touchAction="pan-y"
        >
            <HStack
                gap="1"
                {...drag()}
                transform={aside === 0 ? undefined : `translateX(${aside}px)`}
                onKeyDown={(e) => {
                    if (e.ctrlKey || e.metaKey || e.altKey || e.target instanceof HTMLInputElement) return
                    if (e.key === 's' || e.key === 'x') set(e.key === 's' ? 'star' : 'out')
                    else if (e.key === 'ArrowDown' || e.key === 'ArrowUp') step(e.currentTarget, e.key === 'ArrowDown')
                    else return
                    e.preventDefault()
                    e.nativeEvent.stopImmediatePropagation()
                }}
            >
                <Mini
                    word={mark === 'star' ? '★' : '☆'}
                    label={t('Star {{title}}', { title: fault.title })}
                    on={mark === 'star'}
                    onClick={() => set('star')}
                />
                <Box
                    as="button"
                    flex="1"
                    minW="0"
                    minH="tight"
                    textAlign="start"
                    fontSize="note"
                    lineHeight="1.2"
                    textDecoration={mark === 'out' ? 'line-through' : undefined}
                    color={mark === 'out' ? 'faint' : 'ink'}
                    fontWeight={mark === 'star' ? 700 : 400}
                    aria-expanded={isOpen}
                    data-suspect={fault.id}
                    onClick={onOpen}
                >
                    {wayOf(fault)}
                    {named ? t(' (named)') : ''}
                </Box>
                <Mini
                    word={mark === 'out' ? '↺' : '✕'}
                    label={t('Rule out {{title}}', { title: fault.title })}
                    on={mark === 'out'}
                    onClick={() => set('out')}
                />
            </HStack>
            {children}
        </Box>
    )
}

/** What is wrong, without the name of the part. */
export function wayOf(fault: FaultName): string {
    return fault.title.slice(fault.title.indexOf(': ') < 0 ? 0 : fault.title.indexOf(': ') + 2)
}

export function Mini({ word, label, on, onClick }: { word: string; label: string; on: boolean; onClick: () => void }) {
    return (
        <ToolButton size="xs" h="tight" minW="touch" px="2" aria-label={label} on={on} onClick={onClick}>
            {word}
        </ToolButton>
    )
}

/** The line after this one in its list, or the one before, has the focus now. */
function step(line: HTMLElement, on: boolean) {
    const all = [...(line.closest('[role=list]')?.querySelectorAll<HTMLElement>('[data-suspect]') ?? [])]
    const here = all.findIndex((el) => line.contains(el))
    all[here + (on ? 1 : -1)]?.focus()
}
