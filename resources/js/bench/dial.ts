import type { Mode } from '@/lib/acts'

/** Positions of the meter's dial, as they stand on it and as they are said. */
export const MODES: { mode: Mode; word: string; name: string }[] = [
    { mode: 'vac', word: 'V AC', name: 'Volts AC' },
    { mode: 'vlz', word: 'V Lo', name: 'Volts AC at low impedance' },
    { mode: 'vdc', word: 'V DC', name: 'Volts DC' },
    { mode: 'mvdc', word: 'mV', name: 'Millivolts DC' },
    { mode: 'ohm', word: 'Ω', name: 'Ohms' },
    { mode: 'beep', word: '♪', name: 'Continuity' },
    { mode: 'uf', word: 'µF', name: 'Microfarads' },
    { mode: 'hz', word: 'Hz', name: 'Hertz' },
    { mode: 'ua', word: 'µA', name: 'Microamps DC, in series' },
    { mode: 'ma', word: 'mA', name: 'Milliamps DC, in series' },
    { mode: 'aac', word: 'A', name: 'Amps AC, in series' },
]

export const dialWord = (mode: Mode) => MODES.find((m) => m.mode === mode)?.word ?? ''

/** Largest figure of each range that can be chosen by hand; one alone is no choice. */
export const RANGES: Partial<Record<Mode, number[]>> = {
    vac: [6, 60, 600],
    vdc: [6, 60, 600],
    ohm: [600, 6e3, 6e4, 6e5, 6e6, 6e7],
    uf: [6, 60, 600, 6000],
    ua: [600, 6000],
    ma: [60, 600],
}
