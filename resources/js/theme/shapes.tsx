import { createElement, type SVGProps } from 'react'
import { system } from './system'

/** A colour by its name in the theme, or as it stands: `none`, `#1f7a34`. */
const painted = (colour: string | undefined) =>
    colour === undefined ? undefined : system.token.var(`colors.${colour}`, colour)

type Shape = 'path' | 'rect' | 'circle' | 'line' | 'text' | 'g'

/**
 * A shape of a drawing, painted in colours of the theme. It has no style sheet of its own: a board has hundreds, and
 * to make a style for each took longer than to draw them.
 */
function shape<S extends Shape>(name: S) {
    return function Drawn({ fill, stroke, fontSize, fontWeight, style, ...rest }: SVGProps<SVGElementTagNameMap[S]>) {
        return createElement(name, {
            ...rest,
            fill: painted(fill),
            stroke: painted(stroke),
            // as a style: the sheet of the page lets all letters inherit, and an attribute is weaker than that
            style: fontSize === undefined && fontWeight === undefined ? style : { ...style, fontSize, fontWeight },
        })
    }
}

export const Path = shape('path')
export const Rect = shape('rect')
export const Circle = shape('circle')
export const Line = shape('line')
export const SvgText = shape('text')
export const G = shape('g')
