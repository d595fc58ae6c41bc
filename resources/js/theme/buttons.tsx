import { Button, type ButtonProps } from '@chakra-ui/react'

/** One of the things that can be done here; with `on`, one that stays pressed or not. */
export function ToolButton({ on, ...props }: ButtonProps & { on?: boolean }) {
    return (
        <Button
            variant="outline"
            h="touch"
            color="ink"
            aria-pressed={on}
            bg={on ? 'copperWash' : on === undefined ? undefined : 'sheet'}
            borderColor={on ? 'copper' : 'line'}
            {...props}
        />
    )
}

/** What goes on from here. */
export function MainButton(props: ButtonProps) {
    return <Button h="touch" bg="copper" color="onCopper" _hover={{ bg: 'copper', boxShadow: 'md' }} {...props} />
}
