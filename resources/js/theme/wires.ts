/** The trade's wire colours as they are, with the letters that stand beside them: colour alone carries nothing. */
export const wireColours: Record<string, { stroke: string; mark: string; dash?: string }> = {
    black: { stroke: '#222222', mark: 'BK' },
    white: { stroke: '#b9b2a4', mark: 'WH' },
    red: { stroke: '#c4211f', mark: 'RD' },
    blue: { stroke: '#1f54b8', mark: 'BU' },
    yellow: { stroke: '#cfa600', mark: 'YE' },
    green: { stroke: '#1f7a34', mark: 'GN' },
    orange: { stroke: '#dd6f0b', mark: 'OG' },
    brown: { stroke: '#7b4a21', mark: 'BN' },
    violet: { stroke: '#7a3fa3', mark: 'VT' },
    grey: { stroke: '#7d7d7d', mark: 'GY' },
    'green-yellow': { stroke: '#5f9a1d', mark: 'GNYE', dash: '8 3' },
    bare: { stroke: '#b87333', mark: 'bare', dash: '6 3' },
}
