import { Box, Flex, HStack, Text } from '@chakra-ui/react'
import { Head, Link, router, usePage } from '@inertiajs/react'
import { memo, useEffect, type ReactNode } from 'react'
import type { Me } from '@/lib/types'
import { noteConfirmed } from './grave'
import { Help } from './Help'
import { LookMenu } from './LookMenu'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** The frame of every page: what this is, where one can go, who one is. */
export function Frame({ title, children, full = false }: { title: string; children: ReactNode; full?: boolean }) {
    const { me, flash } = usePage<{ me: Me | null; flash: string | null }>().props
    useEffect(() => noteConfirmed(me?.confirmed_s ?? 0), [me])
    return (
        <Flex direction="column" minH="100vh" h={full ? '100vh' : undefined}>
            <Head title={t('{{title}} · Odd Spark', { title })} />
            <Header title={title} me={me} />
            <Box as="main" flex="1" minH="0" p={full ? '2' : '6'} maxW={full ? undefined : '1180px'} w="100%" mx="auto">
                {flash && (
                    <Text role="status" bg="copperWash" borderRadius="md" px="3" py="2" mb="3">
                        {flash}
                    </Text>
                )}
                {children}
            </Box>
        </Flex>
    )
}

/** Where one can go and who one is: a page that is drawn anew many times a second leaves it as it stands. */
const Header = memo(function Header({ title, me }: { title: string; me: Me | null }) {
    return (
        <Flex
            as="header"
            h="48px"
            px="4"
            align="center"
            gap="5"
            bg="sheet"
            borderBottomWidth="1px"
            borderColor="line"
            flexShrink={0}
        >
            <Link href="/" aria-label={t('Odd Spark')}>
                <HStack gap="2">
                    <Spark />
                    <Text fontWeight={700} fontSize="17px" display={{ base: 'none', md: 'block' }}>
                        {t('Odd Spark')}
                    </Text>
                </HStack>
            </Link>
            {(me?.role === 'instructor' || me?.role === 'administrator') && (
                <HStack as="nav" gap="4" overflowX="auto" minW="0" whiteSpace="nowrap">
                    <Link href="/">{t('Shop')}</Link>
                    <Link href="/models">{t('Models')}</Link>
                    <Link href="/drafts">{t('Build')}</Link>
                    <Link href="/people">{t('People')}</Link>
                    <Link href="/rules">{t('Rules')}</Link>
                    <Link href="/reference">{t('Reference')}</Link>
                    {me.role === 'administrator' && <Link href="/school">{t('School')}</Link>}
                </HStack>
            )}
            {me?.role === 'assessor' && (
                <HStack as="nav" gap="4" overflowX="auto" minW="0" whiteSpace="nowrap">
                    <Link href="/assess">{t('Marking')}</Link>
                    <Link href="/reference">{t('Reference')}</Link>
                </HStack>
            )}
            {me?.role === 'trainee' && (
                <HStack as="nav" gap="4" overflowX="auto" minW="0" whiteSpace="nowrap">
                    <Link href="/">{t('My jobs')}</Link>
                    <Link href="/progress">{t('My progress')}</Link>
                    <Link href="/reference">{t('Reference')}</Link>
                </HStack>
            )}
            <Text flex="1" color="faint" truncate display={{ base: 'none', md: 'block' }}>
                {title}
            </Text>
            {me && (
                <HStack gap="3" ms="auto">
                    <Help />
                    <LookMenu />
                    <Link href="/account" aria-label={t('Account of {{name}}', { name: me.name })}>
                        <Text fontSize="text" display={{ base: 'none', md: 'block' }}>
                            {me.name}
                        </Text>
                    </Link>
                    <ToolButton size="sm" onClick={() => router.post('/logout')}>
                        {t('Sign out')}
                    </ToolButton>
                </HStack>
            )}
        </Flex>
    )
})

function Spark() {
    return (
        <Box asChild w="26px" h="26px" color="copper">
            <svg viewBox="0 0 32 32" aria-hidden="true">
                <path
                    d="M4 22h7l3-12 4 18 3-10h7"
                    fill="none"
                    stroke="currentColor"
                    strokeWidth={3}
                    strokeLinejoin="round"
                    strokeLinecap="round"
                />
            </svg>
        </Box>
    )
}
