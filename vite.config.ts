import react from '@vitejs/plugin-react'
import laravel from 'laravel-vite-plugin'
import { defineConfig } from 'vitest/config'

export default defineConfig({
    plugins: [...(process.env.VITEST ? [] : [laravel({ input: ['resources/js/app.tsx'], refresh: false })]), react()],
    resolve: { alias: { '@': new URL('./resources/js', import.meta.url).pathname } },
    build: { chunkSizeWarningLimit: 900 },
    test: {
        globals: true,
        testTimeout: 120_000, // a busy machine is slow
        projects: [
            // what draws has a page of its own, in each file
            { extends: true, test: { name: 'pages', environment: 'jsdom', include: ['resources/js/**/*.test.tsx'] } },
            // what only reckons shares what it imports
            {
                extends: true,
                test: { name: 'rules', environment: 'node', isolate: false, include: ['resources/js/**/*.test.ts'] },
            },
        ],
    },
})
