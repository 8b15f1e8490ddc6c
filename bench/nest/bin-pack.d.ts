declare module 'bin-pack' {
  export default function binPack(items: readonly { readonly width: number; readonly height: number }[]): {
    readonly width: number
    readonly height: number
  }
}
