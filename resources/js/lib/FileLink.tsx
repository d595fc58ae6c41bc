import { Box, Text } from '@chakra-ui/react'
import { useState, type ReactNode } from 'react'
import { download } from './download'
import { t } from '@/words'

/** A link to a file that may take a while to make: how far it is stands beside it. */
export function FileLink({
    href,
    children,
    className,
    label,
}: {
    href: string
    children: ReactNode
    className?: string
    label?: string
}) {
    const [share, setShare] = useState<number | null>(null)
    const [problem, setProblem] = useState<string | null>(null)
    const get = () => {
        setShare(0)
        setProblem(null)
        download(href, setShare)
            .catch((e: Error) => setProblem(e.message))
            .finally(() => setShare(null))
    }
    return (
        <>
            <a
                href={href}
                className={className}
                aria-label={label}
                aria-busy={share !== null}
                onClick={(e) => {
                    e.preventDefault()
                    if (share === null) get()
                }}
            >
                {children}
                {share !== null && (
                    <Text as="span" role="status" color="copper" fontSize="note">
                        {t('preparing: {{Math}} %', { Math: Math.round(100 * share) })}
                    </Text>
                )}
            </a>
            {problem && (
                <Box as="span" display="block" color="danger" fontSize="text" role="alert">
                    {problem}
                </Box>
            )}
        </>
    )
}
