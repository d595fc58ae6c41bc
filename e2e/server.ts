import { execFileSync } from 'node:child_process'

/** The supervisor of the site that the tests drive. */
const conf = process.env.SPARK_SUPERVISOR ?? 'var/run/test-supervisor.conf'
const supervise = (...what: string[]) => execFileSync('supervisorctl', ['-c', conf, ...what], { stdio: 'ignore' })

/** Ends what answers, as a machine that is restarted does; what stands before it says 502 meanwhile. */
export function stopServer() {
    supervise('stop', 'fpm-bench', 'fpm-pages')
}

export function startServer() {
    supervise('start', 'fpm-bench', 'fpm-pages')
}
