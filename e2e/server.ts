import { execFileSync } from 'node:child_process'
import { existsSync, readFileSync, rmSync } from 'node:fs'
import { resolve } from 'node:path'

/** The site that the tests drive: its own beside the application's, or the application's own. */
const site = () => (new URL(process.env.SPARK_URL ?? 'http://127.0.0.1:8717').port === '8717' && !process.env.SPARK_URL ? 'app' : 'test')
const pidFile = () => `var/run/${site()}-fpm.pid`

/** Ends what answers, as a machine that is restarted does; what stands before it says 502 meanwhile. */
export async function stopServer() {
    const pid = Number(readFileSync(pidFile(), 'utf8'))
    process.kill(pid, 'SIGTERM')
    for (let i = 0; i < 100 && alive(pid); i++) await new Promise((r) => setTimeout(r, 100))
    rmSync(pidFile(), { force: true })
}

/** By its whole path, by which ./spark knows its own and ends it. */
export async function startServer() {
    const root = process.getuid?.() === 0 ? ['-R'] : []
    const php = ['opcache.enable=1', 'opcache.jit=tracing', 'opcache.jit_buffer_size=64M', 'memory_limit=1G', 'opcache.revalidate_freq=0'].flatMap((s) => ['-d', s])
    execFileSync('php-fpm8.2', [...root, ...php, '-y', resolve(`var/run/${site()}-fpm.conf`)], { env: { ...process.env, PATH: `${process.env.PATH}:/usr/sbin` }, stdio: 'ignore' })
    for (let i = 0; i < 100 && !existsSync(pidFile()); i++) await new Promise((r) => setTimeout(r, 100))
}

function alive(pid: number): boolean {
    try {
        process.kill(pid, 0)
        return true
    } catch {
        return false
    }
}
