/** How this browser draws in the round: by a graphics card, reckoned without one, or not at all. */
export type RoundDrawing = 'card' | 'reckoned' | 'none'

const reckoners = /swiftshader|llvmpipe|software|basic render/i

export function findRoundDrawing(): RoundDrawing {
  try {
    const gl = document.createElement('canvas').getContext('webgl2')
    if (!gl) return 'none'
    const about = gl.getExtension('WEBGL_debug_renderer_info')
    const name: unknown = about ? gl.getParameter(about.UNMASKED_RENDERER_WEBGL) : ''
    gl.getExtension('WEBGL_lose_context')?.loseContext()
    return typeof name === 'string' && reckoners.test(name) ? 'reckoned' : 'card'
  } catch {
    return 'none'
  }
}
