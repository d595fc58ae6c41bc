import { G } from '@/theme/shapes'

/** The trade's symbols (IEEE 315 and NEMA practice), drawn in a box of 40 × 24. */
export function Symbol({ kind, x, y }: { kind: string; x: number; y: number }) {
    return (
        <G transform={`translate(${x} ${y})`} stroke="faint" fill="none" strokeWidth={1.5} strokeLinecap="round">
            {shape(kind)}
        </G>
    )
}

function shape(kind: string) {
    switch (kind) {
        case 'switch':
        case 'breaker':
            return <path d="M2 14h9M29 14h9M11 14l17-8" />
        case 'thermal-switch':
            return <path d="M2 14h9M29 14h9M11 14h18M16 14v-6h5v5" />
        case 'pressure-switch':
            return <path d="M2 14h9M29 14h9M11 14l17-8M20 10v10M14 20a6 3 0 0 1 12 0z" />
        case 'transformer':
            return <path d="M4 4q5 0 5 4t-5 4q5 0 5 4t-5 4M36 4q-5 0-5 4t5 4q-5 0-5 4t5 4M18 3v18M22 3v18" />
        case 'fuse':
            return <path d="M2 12h8q0-6 5-6t5 6q0 6 5 6t5-6h8" />
        case 'motor':
            return (
                <>
                    <circle cx={20} cy={12} r={10} />
                    <path d="M15 17V8l5 6 5-6v9" />
                </>
            )
        case 'valve':
            return <path d="M6 6l28 12V6L6 18z" />
        case 'heater':
            return <path d="M2 12h6l3-7 5 14 5-14 5 14 3-7h9" />
        case 'rod':
            return <path d="M4 12h10M14 8v8M18 12h18M30 7q5 5 0 10" />
        case 'capacitor':
            return <path d="M2 12h15M17 4v16M23 4q-4 8 0 16M21 12h17" />
        case 'ground':
            return <path d="M20 2v8M10 10h20M13 14h14M17 18h6" />
        case 'source':
            return (
                <>
                    <circle cx={20} cy={12} r={10} />
                    <path d="M13 12q3.5-7 7 0t7 0" />
                </>
            )
        case 'thermostat':
            return <path d="M8 20V6M32 20V6M8 13h24M20 13l8-7" />
        case 'burner':
            return <path d="M2 18h36M8 18q-3-6 0-10 4 4 0 10M20 18q-3-6 0-10 4 4 0 10M32 18q-3-6 0-10 4 4 0 10" />
        case 'cock':
            return <path d="M4 12h32M20 12V4M14 4h12" />
        case 'meter':
            return (
                <>
                    <circle cx={20} cy={12} r={10} />
                    <path d="M20 12l5-6" />
                </>
            )
        case 'filter':
            return <path d="M12 2v20M16 2v20M20 2v20M24 2v20M28 2v20" />
        case 'flue':
            return <path d="M14 22V6h12v16M10 6h20" />
        case 'hose':
            return <path d="M2 12q5-8 10 0t10 0 10 0 6 0" />
        case 'register':
            return <path d="M6 5h28v14H6zM6 10h28M6 15h28" />
        case 'exchanger':
            return <path d="M4 6h28q4 0 4 4t-4 4H8q-4 0-4 4t4 4h28" />
        case 'control':
            return <path d="M8 4h24v16H8zM12 4V1M20 4V1M28 4V1M12 23v-3M20 23v-3M28 23v-3" />
        case 'pump':
            return (
                <>
                    <circle cx={20} cy={12} r={10} />
                    <path d="M14 6l16 6-16 6z" />
                </>
            )
        case 'tank':
            return <path d="M10 3h20v18H10zM13 14q3.5-4 7 0t7 0" />
        case 'spark':
            return <path d="M2 12h10M28 12h10M22 2l-7 10h8l-6 10" />
        case 'cell':
            return (
                <>
                    <circle cx={20} cy={14} r={7} />
                    <path d="M6 2l6 6M14 0l3 5" />
                </>
            )
        case 'clock':
            return (
                <>
                    <circle cx={20} cy={12} r={10} />
                    <path d="M20 5v7l5 3" />
                </>
            )
        case 'relay':
            return <path d="M4 6h12v12H4zM22 18h6M34 18h4M28 18l7-8M16 12h3" />
        case 'float':
            return <path d="M2 14h9M29 14h9M11 14l17-8M16 20q4-4 8 0" />
        case 'splice':
            return <path d="M14 4h12l-3 16h-6z" />
        default:
            return <path d="M6 6h28v12H6z" />
    }
}
