import type { ComponentProps } from 'react'
import { ToolButton } from '@/theme/buttons'

interface Props extends Pick<ComponentProps<typeof ToolButton>, 'h' | 'fontSize'> {
    /** what stands on the button */
    children: string
    /** what the file is, for who cannot see it */
    label: string
    accept: string
    onFile: (file: File) => void
}

/** A button that lets a file be chosen. */
export function OpenFile({ children, label, accept, onFile, ...look }: Props) {
    return (
        <ToolButton asChild {...look}>
            <label>
                {children}
                <input
                    type="file"
                    accept={accept}
                    aria-label={label}
                    style={{ position: 'absolute', width: 1, height: 1, opacity: 0 }}
                    onChange={(e) => {
                        const file = e.target.files?.[0]
                        if (file) onFile(file)
                    }}
                />
            </label>
        </ToolButton>
    )
}
