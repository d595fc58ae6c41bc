import react from '@vitejs/plugin-react'
import laravel from 'laravel-vite-plugin'
import { defineConfig } from 'vitest/config'

export default defineConfig({
    plugins: [...(process.env.VITEST ? [] : [laravel({ input: ['resources/js/app.tsx'], refresh: false })]), react()],
    resolve: { alias: { '@': new URL('./resources/js', import.meta.url).pathname } },
    build: { chunkSizeWarningLimit: 900 },
    test: { environment: 'jsdom', include: ['resources/js/**/*.test.{ts,tsx}'], globals: true, testTimeout: 120_000 }, // a busy machine is slow
})
