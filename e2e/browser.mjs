import { existsSync } from 'node:fs'

/** Debian's Chromium: the one made for running without a window where there is one, since it draws with less work. */
const CHROMIUM = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium']

export const launch = {
    executablePath: CHROMIUM.find((path) => existsSync(path)),
    args: [
        '--no-sandbox',
        '--disable-gpu',
        '--font-render-hinting=none', // letters as wide as on any screen, and not by whole pixels
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
    ],
}
