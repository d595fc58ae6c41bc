// Written by npm run generate from core/schema/actions.json; not to be changed by hand.

export interface ActionLog {
    odd_spark_actions: 1
    visit?: string
    seed?: number
    notes?: string
    /**
     * @maxItems 2000
     */
    entries: (
        | {
              act: 'look'
              at_s: number
              id?: string
              part: string
          }
        | {
              act: 'door'
              at_s: number
              id?: string
              to: 'open' | 'shut'
              door?: string
          }
        | {
              act: 'hold'
              at_s: number
              id?: string
              to: 'held' | 'released'
              door?: string
          }
        | {
              act: 'set'
              at_s: number
              id?: string
              part: string
              lever: string
              to: string | number
          }
        | {
              act: 'dial'
              at_s: number
              id?: string
              mode: 'vac' | 'vlz' | 'vdc' | 'mvdc' | 'ohm' | 'beep' | 'uf' | 'hz' | 'ua' | 'ma' | 'aac'
              range?: number
          }
        | {
              act: 'keep'
              at_s: number
              id?: string
              to: 'on' | 'off'
          }
        | {
              act: 'leads'
              at_s: number
              id?: string
              red: string | null
              black: string | null
          }
        | {
              act: 'meter_fuse'
              at_s: number
              id?: string
          }
        | {
              act: 'meter_battery'
              at_s: number
              id?: string
          }
        | {
              act: 'clamp'
              at_s: number
              id?: string
              /**
               * @maxItems 12
               */
              wires: string[]
              turns?: number
          }
        | {
              act: 'tester'
              at_s: number
              id?: string
              place: string
          }
        | {
              act: 'read'
              at_s: number
              id?: string
              of?:
                  | 'meter'
                  | 'clamp'
                  | 'gauge'
                  | 'probe'
                  | 'draught'
                  | 'analyser'
                  | 'analyser_co2'
                  | 'analyser_co'
                  | 'analyser_efficiency'
                  | 'smoke'
                  | 'oil_gauge'
                  | 'water_gauge'
                  | 'display'
          }
        | {
              act: 'logger'
              at_s: number
              id?: string
              /**
               * @maxItems 8
               */
              on: string[]
              mode: 'vac' | 'vdc' | 'mvdc'
          }
        | {
              act: 'twin'
              at_s: number
              id?: string
              does: 'leads' | 'dial' | 'read' | 'keep' | 'look'
              red?: string | null
              black?: string | null
              mode?: 'vac' | 'vlz' | 'vdc' | 'mvdc' | 'ohm' | 'beep' | 'uf' | 'hz' | 'ua' | 'ma' | 'aac'
              part?: string
              to?: 'on' | 'off'
          }
        | {
              act: 'meant'
              at_s: number
              id?: string
              meaning: 'good' | 'bad' | 'unsure'
          }
        | {
              act: 'suspect'
              at_s: number
              id?: string
              fault: string
              mark: 'star' | 'out' | 'open'
              why?: string
          }
        | {
              act: 'todo'
              at_s: number
              id?: string
              item: string
              state: 'open' | 'done' | 'gone'
          }
        | {
              act: 'lift'
              at_s: number
              id?: string
              end: string
          }
        | {
              act: 'land'
              at_s: number
              id?: string
              end: string
          }
        | {
              act: 'plug'
              at_s: number
              id?: string
              part: string
              to: 'off' | 'on'
          }
        | {
              act: 'tug'
              at_s: number
              id?: string
              end: string
          }
        | {
              act: 'jump'
              at_s: number
              id?: string
              from: string
              to: string
          }
        | {
              act: 'unjump'
              at_s: number
              id?: string
              from: string
              to: string
          }
        | {
              act: 'run_wire'
              at_s: number
              id?: string
              from: string
              to: string
              colour?:
                  | 'black'
                  | 'white'
                  | 'red'
                  | 'blue'
                  | 'yellow'
                  | 'green'
                  | 'orange'
                  | 'brown'
                  | 'violet'
                  | 'grey'
                  | 'bare'
                  | 'green-yellow'
              awg?: number
              mm2?: number
          }
        | {
              act: 'listen'
              at_s: number
              id?: string
              part: string
          }
        | {
              act: 'smell'
              at_s: number
              id?: string
          }
        | {
              act: 'feel'
              at_s: number
              id?: string
              part: string
          }
        | {
              act: 'ask'
              at_s: number
              id?: string
              question: 'since' | 'display' | 'outside' | 'noise' | 'smell' | 'rooms' | 'touched' | 'filter' | 'work'
          }
        | {
              act: 'turn'
              at_s: number
              id?: string
              part: string
          }
        | {
              act: 'recall'
              at_s: number
              id?: string
              part: string
          }
        | {
              act: 'read_out'
              at_s: number
              id?: string
          }
        | {
              act: 'clock'
              at_s: number
              id?: string
              part: string
          }
        | {
              act: 'push'
              at_s: number
              id?: string
              part: string
              to: 'in' | 'out'
          }
        | {
              act: 'suck'
              at_s: number
              id?: string
              part: string
              to: 'on' | 'off'
          }
        | {
              act: 'tap'
              at_s: number
              id?: string
              part: string
          }
        | {
              act: 'reset'
              at_s: number
              id?: string
              part: string
              seconds?: number
          }
        | {
              act: 'take'
              at_s: number
              id?: string
              part: string
              to: 'off' | 'on'
          }
        | {
              act: 'head'
              at_s: number
              id?: string
              part: string
              to: 'off' | 'on'
          }
        | {
              act: 'warm'
              at_s: number
              id?: string
              part: string
              to: 'hot' | 'cool'
          }
        | {
              act: 'bleed'
              at_s: number
              id?: string
              part: string
              over: 'resistor' | 'blade'
          }
        | {
              act: 'ohm_spare'
              at_s: number
              id?: string
              part: string
              red: string
              black: string
          }
        | {
              act: 'ohm_fuse'
              at_s: number
              id?: string
              part: string
              fuse?: string
          }
        | {
              act: 'lock'
              at_s: number
              id?: string
              part: string
              to: 'locked' | 'free'
          }
        | {
              act: 'prove_dead'
              at_s: number
              id?: string
              known: string
              place: string
          }
        | {
              act: 'leak_test'
              at_s: number
              id?: string
              part: string
          }
        | {
              act: 'room_air'
              at_s: number
              id?: string
          }
        | {
              act: 'tag_out'
              at_s: number
              id?: string
              to: 'tagged' | 'free'
          }
        | {
              act: 'tell'
              at_s: number
              id?: string
              about: 'found' | 'unsafe' | 'comes_back' | 'watch'
          }
        | {
              act: 'call_supplier'
              at_s: number
              id?: string
              part: string
          }
        | {
              act: 'batteries'
              at_s: number
              id?: string
              part: string
          }
        | {
              act: 'fuse'
              at_s: number
              id?: string
              part: string
              amps: number
          }
        | {
              act: 'spare'
              at_s: number
              id?: string
              part: string
              spare: string
          }
        | {
              act: 'install'
              at_s: number
              id?: string
              part: string
          }
        | {
              act: 'mend'
              at_s: number
              id?: string
              part: string
              how: 'replace' | 'clean' | 'clear' | 'set'
              with?: 'cloth' | 'steel_wool' | 'sandpaper' | 'wire'
          }
        | {
              act: 'expect'
              at_s: number
              id?: string
              value: number
          }
        | {
              act: 'write_down'
              at_s: number
              id?: string
              value: string
              unit:
                  | 'V AC'
                  | 'V AC Lo'
                  | 'V DC'
                  | 'mV DC'
                  | 'Ω'
                  | 'µF'
                  | 'Hz'
                  | 'µA'
                  | 'mA'
                  | 'A AC'
                  | 'in. w.c.'
                  | 'mbar'
                  | '°F'
                  | '°C'
                  | 'Pa'
                  | '% O₂'
                  | '% CO₂'
                  | 'ppm'
                  | '%'
                  | 'smoke'
                  | 'psi'
                  | 'bar'
                  | 'kΩ'
                  | 'MΩ'
              red?: string
              black?: string
              tap?: string | null
          }
        | {
              act: 'report'
              at_s: number
              id?: string
              cause?: string
              /**
               * @maxItems 20
               */
              done?: string[]
              before?: number
              after?: number
              parts?: number
              minutes?: number
              words?: string
          }
        | {
              act: 'fill_in'
              at_s: number
              id?: string
              row: string
              figure?: number
              found: 'in_order' | 'out_of_order'
          }
        | {
              act: 'sign'
              at_s: number
              id?: string
              as: 'in_service' | 'out_of_service'
          }
        | {
              act: 'wait'
              at_s: number
              id?: string
          }
        | {
              act: 'come_back'
              at_s: number
              id?: string
          }
        | {
              act: 'hint'
              at_s: number
              id?: string
              grade: 'where' | 'circuit' | 'reading'
          }
        | {
              act: 'name'
              at_s: number
              id?: string
              fault: string
          }
        | {
              act: 'hand_back'
              at_s: number
              id?: string
          }
        | {
              act: 'gauge'
              at_s: number
              id?: string
              tap: string | null
          }
        | {
              act: 'probe'
              at_s: number
              id?: string
              tap: string | null
          }
        | {
              act: 'draught'
              at_s: number
              id?: string
              tap: string | null
          }
        | {
              act: 'analyser'
              at_s: number
              id?: string
              tap: string | null
          }
        | {
              act: 'analyser_co2'
              at_s: number
              id?: string
              tap: string | null
          }
        | {
              act: 'analyser_co'
              at_s: number
              id?: string
              tap: string | null
          }
        | {
              act: 'analyser_efficiency'
              at_s: number
              id?: string
              tap: string | null
          }
        | {
              act: 'smoke'
              at_s: number
              id?: string
              tap: string | null
          }
        | {
              act: 'oil_gauge'
              at_s: number
              id?: string
              tap: string | null
          }
        | {
              act: 'water_gauge'
              at_s: number
              id?: string
              tap: string | null
          }
        | {
              act: 'display'
              at_s: number
              id?: string
              tap: string | null
          }
    )[]
}
