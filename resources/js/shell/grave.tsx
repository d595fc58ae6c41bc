import { Box, Heading, HStack, Stack, Text } from '@chakra-ui/react'
import {
    createContext,
    useCallback,
    useContext,
    useEffect,
    useRef,
    useState,
    type FormEvent,
    type ReactNode,
} from 'react'
import { useSent } from '@/lib/query'
import { DoorField } from '@/people/Door'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** Milliseconds that are taken off, so that the server is never asked a moment too late. */
const EARLY_MS = 20_000

/** Until when the server takes what is grave without the password; what it said with the page. */
let until = 0
export function noteConfirmed(seconds: number): void {
    until = Date.now() + seconds * 1000 - EARLY_MS
}

const Grave = createContext<(act: () => void) => void>((act) => act())

/** Does something after the password was entered again, unless that was just now. */
export const useGrave = () => useContext(Grave)

export function GraveProvider({ children }: { children: ReactNode }) {
    const [act, setAct] = useState<(() => void) | null>(null)
    const grave = useCallback((next: () => void) => {
        if (Date.now() < until) next()
        else setAct(() => next)
    }, [])
    return (
        <Grave.Provider value={grave}>
            {children}
            {act && (
                <AskPassword
                    onRight={() => {
                        setAct(null)
                        act()
                    }}
                    onCancel={() => setAct(null)}
                />
            )}
        </Grave.Provider>
    )
}

function AskPassword({ onRight, onCancel }: { onRight: () => void; onCancel: () => void }) {
    const [password, setPassword] = useState('')
    const box = useRef<HTMLDialogElement>(null)
    useEffect(() => box.current?.showModal(), [])
    const confirm = useSent<{ confirmed: boolean }, { current_password: string }>('/account/confirm', {
        onDone: () => {
            noteConfirmed(900)
            onRight()
        },
    })
    const submit = (e: FormEvent) => {
        e.preventDefault()
        confirm.mutate({ current_password: password })
    }
    return (
        <Box
            asChild
            bg="sheet"
            color="ink"
            borderRadius="lg"
            borderWidth="1px"
            borderColor="line"
            p="6"
            w="420px"
            maxW="94vw"
            m="auto"
        >
            <dialog ref={box} onCancel={onCancel} aria-label={t('Your password again')}>
                <Stack as="form" gap="4" onSubmit={submit}>
                    <Heading as="h2" size="lg">
                        {t('Your password again')}
                    </Heading>
                    <Text>{t('For safety, enter your password again before you do this.')}</Text>
                    <DoorField
                        label={t('Password now')}
                        type="password"
                        complete="current-password"
                        value={password}
                        error={confirm.error?.message}
                        onChange={setPassword}
                    />
                    <HStack>
                        <MainButton type="submit" disabled={confirm.isPending}>
                            {t('Go on')}
                        </MainButton>
                        <ToolButton onClick={onCancel}>{t('Cancel')}</ToolButton>
                    </HStack>
                </Stack>
            </dialog>
        </Box>
    )
}
