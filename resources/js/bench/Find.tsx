import { Input } from '@chakra-ui/react'
import { memo, useId, useMemo, useRef, useState } from 'react'
import { named } from '@/board/walk'
import { useKeys } from '@/lib/useKeys'
import type { BoardData } from '@/lib/types'
import { t } from '@/words'

interface Props {
    board: BoardData
    onFound: (part: string, place: string | null) => void
}

/** Goes to a part or a terminal by its name; the key / comes here from anywhere. */
export const Find = memo(function Find({ board, onFound }: Props) {
    const [words, setWords] = useState('')
    const field = useRef<HTMLInputElement>(null)
    const list = useId()
    const found = useMemo(() => named(board, words), [board, words])
    useKeys(['/'], (e) => (e.preventDefault(), field.current?.focus()), { onTabs: true, printed: true })
    const go = (to = found[0]) => {
        if (!to) return
        setWords('')
        field.current?.blur()
        onFound(to.part, to.place)
    }
    return (
        <form
            style={{ flex: '1 1 84px', minWidth: 84, maxWidth: 148 }}
            onSubmit={(e) => {
                e.preventDefault()
                go()
            }}
        >
            <Input
                ref={field}
                list={list}
                value={words}
                aria-label={t('Find a part or a terminal')}
                placeholder={t('Find  /')}
                h="touch"
                w="100%"
                bg="sheet"
                borderColor="line"
                aria-invalid={words !== '' && found.length === 0}
                onChange={(e) => {
                    setWords(e.target.value)
                    const how = (e.nativeEvent as InputEvent).inputType
                    const exact = named(board, e.target.value)[0]
                    if ((how === undefined || how === 'insertReplacementText') && exact?.name === e.target.value)
                        go(exact) // chosen from the list
                }}
            />
            <datalist id={list}>
                {found.slice(0, 12).map((f) => (
                    <option key={f.place ?? f.part} value={f.name} />
                ))}
            </datalist>
        </form>
    )
})
