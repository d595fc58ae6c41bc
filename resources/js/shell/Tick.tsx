import { Checkbox } from '@chakra-ui/react'

/** A box to tick, with its words. */
export function Tick({
    checked,
    onChange,
    children,
}: {
    checked: boolean
    onChange: (on: boolean) => void
    children: React.ReactNode
}) {
    return (
        <Checkbox.Root checked={checked} minH="32px" onCheckedChange={({ checked: on }) => onChange(on === true)}>
            <Checkbox.HiddenInput />
            <Checkbox.Control
                borderColor="faint"
                _checked={{ bg: 'copper', borderColor: 'copper', color: 'onCopper' }}
            />
            <Checkbox.Label fontSize="text" fontWeight={400}>
                {children}
            </Checkbox.Label>
        </Checkbox.Root>
    )
}
