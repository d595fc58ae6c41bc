import { createSystem, defaultConfig, defineConfig } from '@chakra-ui/react'

/** Every colour, size and font of the interface: warm paper, ink, and copper for what is live. */
const config = defineConfig({
    globalCss: {
        'html, body': { bg: 'paper', color: 'ink', fontFamily: 'body', fontSize: '15px', lineHeight: 1.4 },
        '*:focus-visible': { outline: '3px solid', outlineColor: 'focus', outlineOffset: '2px' },
        'svg text': { fontFamily: 'body' },
        // of a page with something to hand out that alone is printed
        'body:has(.printed) *': { _print: { visibility: 'hidden' } },
        'body:has(.printed) .printed, body:has(.printed) .printed *': { _print: { visibility: 'visible' } },
        '.printed': { _print: { position: 'absolute', left: 0, top: 0, maxHeight: 'none', overflow: 'visible' } },
        '.reading': { fontFamily: 'mono', fontVariantNumeric: 'tabular-nums' },
    },
    conditions: { contrast: '.contrast:not(.dark) &', darkContrast: '.contrast.dark &' },
    theme: {
        layerStyles: {
            panel: { value: { bg: 'sheet', borderWidth: '1px', borderColor: 'line', borderRadius: 'md' } },
        },
        tokens: {
            fonts: {
                body: { value: "'Atkinson Hyperlegible', sans-serif" },
                heading: { value: "'Atkinson Hyperlegible', sans-serif" },
                mono: { value: "'IBM Plex Mono', monospace" },
            },
            // what a finger finds, a row of a list, and what stands closer
            sizes: { touch: { value: '44px' }, row: { value: '40px' }, tight: { value: '36px' } },
            fontSizes: { text: { value: '14px' }, note: { value: '13px' }, fine: { value: '12px' } },
        },
        semanticTokens: {
            colors: {
                paper: { value: { base: '#fbf7ef', _dark: '#1d1a16', _contrast: '#ffffff', _darkContrast: '#000000' } },
                // what lies under a wire, so that a black one is seen on a dark board
                underWire: { value: { base: '#fffdf8', _dark: '#8f8672' } },
                sheet: { value: { base: '#fffdf8', _dark: '#27231d', _contrast: '#ffffff', _darkContrast: '#000000' } },
                ground: {
                    value: { base: '#f1eadc', _dark: '#15130f', _contrast: '#efefef', _darkContrast: '#141414' },
                },
                line: { value: { base: '#d6cbb6', _dark: '#4b4336', _contrast: '#4a4a4a', _darkContrast: '#b8b8b8' } },
                ink: { value: { base: '#29241d', _dark: '#f2ebdd', _contrast: '#000000', _darkContrast: '#ffffff' } },
                faint: { value: { base: '#655b4c', _dark: '#b8ab95', _contrast: '#2b2b2b', _darkContrast: '#e2e2e2' } },
                copper: {
                    value: { base: '#984a15', _dark: '#e59a5f', _contrast: '#6d2f05', _darkContrast: '#ffb27a' },
                },
                copperWash: {
                    value: { base: '#f5e2d0', _dark: '#45301f', _contrast: '#ffe3c7', _darkContrast: '#4a2a10' },
                },
                onCopper: { value: { base: '#fffdf8', _dark: '#1d1a16' } },
                danger: {
                    value: { base: '#9c1f1f', _dark: '#ff9d90', _contrast: '#7d0000', _darkContrast: '#ffb3a8' },
                },
                dangerWash: { value: { base: '#f9e1dc', _dark: '#4a211c' } },
                good: { value: { base: '#2c6135', _dark: '#9bd3a3', _contrast: '#0d4217', _darkContrast: '#b8f0c0' } },
                focus: { value: { base: '#1d5fa8', _dark: '#8cc0ff' } },
                lcd: { value: { base: '#dfe5d2', _dark: '#c5ceb3' } },
                lcdInk: { value: { base: '#1c2418', _dark: '#1c2418' } },
                leadRed: { value: { base: '#c22626', _dark: '#ff6b60' } },
                leadBlack: { value: { base: '#1f1f1f', _dark: '#d9d9d9' } },
                flame: { value: { base: '#2f6fb5', _dark: '#7fb5f0' } },
                glow: { value: { base: '#d9661f', _dark: '#ff9c52' } },
                moving: { value: { base: '#5d7f5a', _dark: '#9cc298' } },
                water: { value: { base: '#2d7f86', _dark: '#7fcdd3' } },
                lamp: { value: { base: '#b98a16', _dark: '#f0c75a' } },
            },
        },
    },
})

export const system = createSystem(defaultConfig, config)
