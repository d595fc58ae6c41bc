import { defineConfig } from '@playwright/test'
import { launch } from './e2e/browser.mjs'

export default defineConfig({
    testDir: 'e2e',
    outputDir: 'e2e/results',
    // work of the queue takes minutes on a machine that is eight times as busy: what is waited for comes, or never does
    timeout: 1_200_000,
    expect: { timeout: 240_000 },
    workers: 1,
    forbidOnly: true,
    use: {
        baseURL: process.env.SPARK_URL ?? 'http://127.0.0.1:8717',
        viewport: { width: 1280, height: 800 },
        launchOptions: launch,
    },
})
