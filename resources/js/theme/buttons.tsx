import { Button, type ButtonProps } from '@chakra-ui/react'

/** One of the things that can be done here. */
export function ToolButton(props: ButtonProps) {
    return <Button variant="outline" h="touch" color="ink" borderColor="line" {...props} />
}

/** What goes on from here. */
export function MainButton(props: ButtonProps) {
    return <Button h="touch" bg="copper" color="onCopper" _hover={{ bg: 'copper', boxShadow: 'md' }} {...props} />
}
