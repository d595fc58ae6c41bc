/** What flows or is felt, each with its colour, its pattern and its letter: colour alone carries nothing. */
export const media: Record<string, { stroke: string; mark: string; title: string; dash?: string; width: number }> = {
    gas: { stroke: '#b98a12', mark: 'G', title: 'gas pipe', width: 7 },
    oil: { stroke: '#6d5638', mark: 'O', title: 'oil line', width: 5 },
    air: { stroke: '#8fb0bd', mark: 'A', title: 'duct', width: 13 },
    flue: { stroke: '#9a9087', mark: 'F', title: 'vent', width: 10, dash: '14 4' },
    water: { stroke: '#2d7f86', mark: 'W', title: 'water pipe', width: 7 },
    heat: { stroke: '#b2573a', mark: 'H', title: 'seat of a sensor', width: 2.4, dash: '2 5' },
    flame: { stroke: '#c8741d', mark: 'X', title: 'place in the flame', width: 2.4, dash: '7 4' },
}

/** Seats are no pipes: they tell where something sits, and are drawn where one builds. */
export const isSeat = (medium: string) => medium === 'heat' || medium === 'flame'
