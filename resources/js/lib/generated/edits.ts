// Written by npm run generate from core/schema/edits.json; not to be changed by hand.

export type Edit =
    | {
          do: 'place'
          kind: string
          /**
           * @minItems 2
           * @maxItems 2
           */
          at: [number, number]
          label?: string
          id?: string
          own?: {}
      }
    | {
          do: 'move'
          /**
           * @minItems 1
           * @maxItems 2000
           */
          parts: string[]
          /**
           * @minItems 2
           * @maxItems 2
           */
          by: [number, number]
      }
    | {
          do: 'align'
          /**
           * @minItems 1
           * @maxItems 2000
           */
          parts: string[]
          edge: 'left' | 'right' | 'top' | 'bottom' | 'middle' | 'centre'
      }
    | {
          do: 'copy'
          /**
           * @minItems 1
           * @maxItems 2000
           */
          parts: string[]
          /**
           * @minItems 2
           * @maxItems 2
           */
          by?: [number, number]
      }
    | {
          do: 'remove'
          /**
           * @minItems 1
           * @maxItems 2000
           */
          parts?: string[]
          /**
           * @minItems 1
           * @maxItems 2000
           */
          wires?: string[]
      }
    | {
          do: 'label'
          part: string
          label: string
      }
    | {
          do: 'stock'
          part: string
          in: 'van' | 'appliance'
      }
    | {
          do: 'group'
          /**
           * @minItems 1
           * @maxItems 2000
           */
          parts: string[]
      }
    | {
          do: 'ungroup'
          /**
           * @minItems 1
           * @maxItems 2000
           */
          parts: string[]
      }
    | {
          do: 'param'
          part: string
          primitive: string
          key: string
          value?: unknown
      }
    | {
          do: 'flaw'
          part: string
          contact: string
          by: 'taps' | 'makes' | 'after'
          count: number
          for_s?: number
          weight?: number
      }
    | {
          do: 'link'
          part: string
          name: string
          to: string
      }
    | {
          do: 'sequence'
          part: string
          primitive: string
          line: string
          value?: unknown
      }
    | {
          do: 'wire'
          from: string
          to: string
          id?: string
          colour?: string
          awg?: number
          feet?: number
          mm2?: number
          metres?: number
          tag?: string
          /**
           * @minItems 1
           * @maxItems 2000
           */
          modes?: string[]
          near?: string
      }
    | {
          do: 'rewire'
          wire: string
          colour?: string
          awg?: number
          feet?: number
          mm2?: number
          metres?: number
          tag?: string
          /**
           * @minItems 1
           * @maxItems 2000
           */
          modes?: string[]
          near?: string
      }
    | {
          do: 'land'
          wire: string
          end: 'a' | 'b'
          on: string
      }
    | {
          do: 'route'
          wire: string
          /**
           * @maxItems 20
           */
          via?: [number, number][]
      }
    | {
          do: 'cable'
          id: string
          /**
           * @minItems 1
           * @maxItems 2000
           */
          wires: string[]
          feet?: number
          run?: 'hidden' | 'open'
      }
    | {
          do: 'wire_list'
          csv: string
      }
    | {
          do: 'pipe'
          from: string
          to: string
          id?: string
      }
    | {
          do: 'include'
          model: string
          id: string
          /**
           * @minItems 2
           * @maxItems 2
           */
          by?: [number, number]
          /**
           * @minItems 1
           * @maxItems 2000
           */
          without?: string[]
          keep?: unknown
      }
    | {
          do: 'renew'
          id: string
      }
    | {
          do: 'like'
          model: string
      }
    | {
          do: 'set'
          path: string
          value?: unknown
      }
