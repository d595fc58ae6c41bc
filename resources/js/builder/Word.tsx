import { ToolButton } from '@/theme/buttons'

/** A small button of the builder with a word or two on it. */
export function Word({
    children,
    onClick,
    disabled,
    on,
}: {
    children: React.ReactNode
    onClick: () => void
    disabled?: boolean
    on?: boolean
}) {
    return (
        <ToolButton h="row" px="2" on={on} fontSize="text" disabled={disabled} onClick={onClick}>
            {children}
        </ToolButton>
    )
}
