import type { Lasting, Once } from './sounds'

/** Seconds of noise that is made once and played round and round. */
const NOISE_S = 2

/** How a sound that lasts is made: of noise through a filter, or of tones; loudness from 0 to 1. */
const MADE: Record<
    Lasting,
    { noise?: [BiquadFilterType, number, number]; tones?: [number, number][]; loud: number; beat?: number }
> = {
    whir: { noise: ['bandpass', 420, 0.7], tones: [[118, 0.25]], loud: 0.16 },
    'slow whir': { noise: ['bandpass', 240, 0.7], tones: [[70, 0.25]], loud: 0.13 },
    hum: {
        tones: [
            [120, 0.6],
            [240, 0.25],
            [360, 0.1],
        ],
        loud: 0.14,
    },
    buzz: {
        tones: [
            [120, 0.4],
            [360, 0.4],
            [600, 0.3],
        ],
        loud: 0.12,
    },
    ticks: { noise: ['highpass', 2400, 0.7], loud: 0.3, beat: 8 },
    breath: { noise: ['lowpass', 700, 0.3], loud: 0.1 },
    rumble: { noise: ['lowpass', 160, 1.2], loud: 0.35 },
    gurgle: { noise: ['bandpass', 500, 4], loud: 0.2, beat: 5 },
}

/** Plays what is heard at the bench: made in the browser, of noise and tones. */
export class Loudspeaker {
    private readonly context = new AudioContext()
    private readonly noise = this.context.createBuffer(1, NOISE_S * this.context.sampleRate, this.context.sampleRate)
    private readonly playing = new Map<string, { sound: Lasting; stop: () => void }>()

    constructor() {
        const samples = this.noise.getChannelData(0)
        for (let i = 0; i < samples.length; i++) samples[i] = Math.random() * 2 - 1
    }

    /** From now on a channel sounds like this, or not at all. */
    keep(channel: string, sound: Lasting | null) {
        const now = this.playing.get(channel)
        if (now?.sound === sound) return
        now?.stop()
        this.playing.delete(channel)
        if (sound !== null) this.playing.set(channel, { sound, stop: this.begin(sound) })
    }

    once(sound: Once) {
        void this.context.resume()
        const [length, filter, frequency, loud] =
            sound === 'click' ? ([0.03, 'highpass', 1800, 0.5] as const) : ([0.7, 'lowpass', 420, 0.8] as const)
        const at = this.context.currentTime
        const gain = this.context.createGain()
        gain.gain.setValueAtTime(0, at)
        gain.gain.linearRampToValueAtTime(loud, at + length / 6)
        gain.gain.exponentialRampToValueAtTime(0.001, at + length)
        this.throughFilter(filter, frequency, 0.7, gain).stop(at + length)
        gain.connect(this.context.destination)
    }

    silence() {
        for (const channel of [...this.playing.keys()]) this.keep(channel, null)
    }

    close() {
        this.silence()
        void this.context.close()
    }

    private begin(sound: Lasting): () => void {
        void this.context.resume()
        const { noise, tones = [], loud, beat } = MADE[sound]
        const gain = this.context.createGain()
        gain.gain.value = loud
        const sources: AudioScheduledSourceNode[] = []
        if (noise) sources.push(this.throughFilter(...noise, gain))
        for (const [frequency, share] of tones) {
            const tone = this.context.createOscillator()
            const level = this.context.createGain()
            tone.frequency.value = frequency
            level.gain.value = share
            tone.connect(level).connect(gain)
            tone.start()
            sources.push(tone)
        }
        if (beat !== undefined) {
            const swing = this.context.createOscillator()
            const depth = this.context.createGain()
            swing.type = 'square'
            swing.frequency.value = beat
            depth.gain.value = loud
            swing.connect(depth).connect(gain.gain)
            swing.start()
            sources.push(swing)
        }
        gain.connect(this.context.destination)
        return () => {
            sources.forEach((source) => source.stop())
            gain.disconnect()
        }
    }

    private throughFilter(type: BiquadFilterType, frequency: number, q: number, to: AudioNode): AudioBufferSourceNode {
        const source = this.context.createBufferSource()
        const filter = this.context.createBiquadFilter()
        source.buffer = this.noise
        source.loop = true
        filter.type = type
        filter.frequency.value = frequency
        filter.Q.value = q
        source.connect(filter).connect(to)
        source.start()
        return source
    }
}
