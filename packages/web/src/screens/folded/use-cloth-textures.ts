import { useEffect, useState, type RefObject } from 'react'
import { CanvasTexture, LinearMipmapNearestFilter, RepeatWrapping, SRGBColorSpace } from 'three'
import type { ClothLook } from '../../views/cloth/look'
import { repeatOf, textureSize } from './repeat'

/** A cloth to be laid on a leaf: its picture, and after how many millimetres it comes again. */
export interface ClothTexture {
  readonly map: CanvasTexture
  readonly width: number
  readonly height: number
}

const none: ReadonlyMap<string, ClothTexture> = new Map()

/** The cloths as textures, as soon as they are drawn; until then leaves have a plain colour. */
export function useClothTextures(
  looks: readonly ClothLook[],
  sheet: RefObject<HTMLDivElement | null>,
): ReadonlyMap<string, ClothTexture> {
  const [textures, setTextures] = useState(none)
  useEffect(() => {
    let isLeft = false
    const made: ClothTexture[] = []
    const all = looks.map(async look => {
      const drawn = sheet.current?.querySelector(`[data-look="${CSS.escape(look.key)}"]`)
      const texture = drawn && (await textureOf(drawn, look))
      if (!texture) return []
      made.push(texture)
      return [[look.key, texture] as const]
    })
    void Promise.all(all).then(pairs => {
      if (!isLeft) setTextures(new Map(pairs.flat()))
    })
    return () => {
      isLeft = true
      for (const { map } of made) map.dispose()
    }
  }, [looks, sheet])
  return textures
}

/** What cannot be drawn has no texture: the leaf keeps its plain colour. */
async function textureOf(drawn: Element, look: ClothLook): Promise<ClothTexture | undefined> {
  try {
    const { width, height } = textureSize(repeatOf(look))
    const image = await imageOf(await withOwnPicture(drawn, look), width, height)
    const canvas = document.createElement('canvas')
    Object.assign(canvas, { width, height })
    canvas.getContext('2d')?.drawImage(image, 0, 0, width, height)
    const map = new CanvasTexture(canvas)
    map.wrapS = map.wrapT = RepeatWrapping
    map.colorSpace = SRGBColorSpace
    map.minFilter = LinearMipmapNearestFilter
    return { map, ...repeatOf(look) }
  } catch {
    return undefined
  }
}

/** A picture within a picture must be in it: nothing is fetched for an image that is drawn from data. */
async function withOwnPicture(drawn: Element, { photo }: ClothLook): Promise<string> {
  const text = new XMLSerializer().serializeToString(drawn)
  if (!photo) return text
  const blob = await (await fetch(photo.href)).blob()
  const url = await new Promise<string>((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(typeof reader.result === 'string' ? reader.result : '')
    reader.onerror = () => reject(new Error('The picture cannot be read'))
    reader.readAsDataURL(blob)
  })
  return text.replace(new XMLSerializer().serializeToString(document.createTextNode(photo.href)), url)
}

function imageOf(svg: string, width: number, height: number): Promise<HTMLImageElement> {
  return new Promise((resolve, reject) => {
    const image = new Image(width, height)
    image.onload = () => resolve(image)
    image.onerror = () => reject(new Error('The cloth cannot be drawn'))
    const sized = svg.replace('<svg ', `<svg width="${width}" height="${height}" preserveAspectRatio="none" `)
    image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(sized)}`
  })
}
