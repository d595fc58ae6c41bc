/**
 * What the trade calls the same thing: each line one thing, the word that stands for it first. Common practice, no
 * source.
 */
const SAME: readonly (readonly string[])[] = [
    ['limit', 'high limit', 'hi limit', 'hilimit', 'overheat', 'over temp', 'overtemp', 'overheat stat'],
    ['thermostat', 'tstat', 't stat', 'stat', 'room stat', 'roomstat'],
    ['flame rod', 'flame sensor', 'flame sense', 'flame sensing', 'sensing rod', 'sense rod', 'flame probe', 'rod'],
    ['igniter', 'ignitor', 'hsi', 'glow bar', 'glowbar', 'hot surface igniter'],
    ['inducer', 'draft inducer', 'draught inducer', 'vent motor', 'purge fan', 'exhaust blower', 'combustion blower'],
    ['blower', 'indoor blower', 'indoor fan', 'furnace fan', 'circulating fan', 'supply fan', 'blower motor'],
    ['pump', 'circulator', 'circ', 'circulating pump'],
    [
        'pressure switch',
        'air switch',
        'air proving switch',
        'draft switch',
        'draught switch',
        'prover',
        'air pressure switch',
    ],
    ['rollout', 'roll out', 'flame rollout'],
    ['transformer', 'xfmr', 'trafo', 'tranny', 'control transformer'],
    ['control', 'board', 'control board', 'circuit board', 'pcb', 'module', 'control module'],
    ['thermocouple', 't couple', 'tc', 'thermo couple'],
    ['thermopile', 'pilot generator', 'millivolt generator'],
    ['cad cell', 'flame eye', 'photocell', 'photo cell', 'eye'],
    ['capacitor', 'cap', 'run cap', 'run capacitor', 'start cap'],
    ['breaker', 'circuit breaker', 'mcb'],
    ['supply', 'power', 'mains', 'feed', 'juice', 'line voltage'],
    ['low water cut off', 'lwco', 'low water', 'low water cutoff'],
    ['zone valve', 'motorised valve', 'motorized valve'],
    ['mid position', 'midposition', 'three port', '3 port'],
    ['programmer', 'timer', 'time clock', 'time switch', 'timeclock'],
    ['cylinder', 'hot water tank', 'hw tank', 'tank of hot water'],
    ['radiators', 'radiator', 'rad', 'rads'],
    ['flue', 'vent', 'chimney', 'exhaust', 'stack'],
    ['ground', 'earth', 'bond', 'earthing', 'grounding'],
    ['line', 'hot', 'live', 'phase'],
    ['wire', 'conductor', 'cable'],
    ['nut', 'wirenut', 'wire nut', 'splice', 'marrette'],
    ['spark', 'sparker', 'sparking'],
    ['shorted', 'short', 'short circuit', 'dead short'],
    ['open', 'dead', 'burnt out', 'burned out', 'failed', 'broken', 'blown', 'cracked', 'bad', 'faulty', 'kaput'],
    ['closed', 'welded', 'stuck closed', 'stuck on', 'hangs', 'wont open', 'does not open'],
    ['stuck open', 'wont close', 'does not make', 'doesnt make', 'no contact', 'makes no contact', 'doesnt close'],
    ['blocked', 'plugged', 'clogged', 'restricted', 'dirty', 'caked', 'stopped up', 'choked', 'coated', 'fouled'],
    ['seized', 'stuck', 'locked up', 'frozen', 'jammed', 'bound'],
    ['leaks by', 'lets by', 'passing', 'not holding', 'leaks'],
    ['swapped', 'reversed', 'crossed', 'reverse polarity', 'polarity'],
    ['weak', 'tired', 'low output'],
    ['blank', 'no display', 'dark'],
    ['furnace', 'warm air heater', 'air handler'],
    ['boiler', 'hydronic'],
]

/** A text in plain small words: no marks, "won't" as one word, degrees and units as they are. */
export function plain(text: string): string {
    return text
        .toLowerCase()
        .replace(/['’]/g, '')
        .replace(/[^\p{L}\p{N}.%°µ]+/gu, ' ')
        .trim()
}

const FIRST = new Map(SAME.flatMap((words) => words.map((word) => [word, words[0]!] as const)))

/** Any of the words and phrases, the longest first, each as a whole. */
const ANY = new RegExp(`(?<= )(?:${[...FIRST.keys()].sort((a, b) => b.length - a.length).join('|')})(?= )`, 'g')

/** The same text, each thing by the word that stands for it. */
export function folded(text: string): string {
    return ` ${plain(text)} `.replace(ANY, (word) => FIRST.get(word)!).trim()
}
