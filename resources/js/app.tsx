import '@fontsource/atkinson-hyperlegible/400.css'
import '@fontsource/atkinson-hyperlegible/700.css'
import '@fontsource/ibm-plex-mono/400.css'
import '@fontsource/ibm-plex-mono/600.css'
import { ChakraProvider } from '@chakra-ui/react'
import { createInertiaApp } from '@inertiajs/react'
import { QueryClientProvider } from '@tanstack/react-query'
import { createRoot } from 'react-dom/client'
import type { ComponentType } from 'react'
import { newClient } from './lib/query'
import { Boundary } from './shell/Boundary'
import { GraveProvider } from './shell/grave'
import { readLook, wear } from './shell/look'
import { system } from './theme/system'
import { haveWords } from './words'

wear(readLook())
matchMedia('(prefers-color-scheme: dark)').addEventListener('change', () => wear(readLook()))

const client = newClient()
const pages = import.meta.glob<{ default: ComponentType }>('./pages/*.tsx')

await haveWords()
void createInertiaApp({
    resolve: async (name) => {
        const page = pages[`./pages/${name}.tsx`]
        if (!page) throw new Error(`There is no page ${name}`)
        return (await page()).default
    },
    setup({ el, App, props }) {
        if (!el) return
        createRoot(el).render(
            <ChakraProvider value={system}>
                <Boundary>
                    <QueryClientProvider client={client}>
                        <GraveProvider>
                            <App {...props} />
                        </GraveProvider>
                    </QueryClientProvider>
                </Boundary>
            </ChakraProvider>,
        )
    },
    progress: { color: '#984a15' },
})
