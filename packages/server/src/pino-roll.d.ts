declare module 'pino-roll' {
  import type { SonicBoom, SonicBoomOpts } from 'sonic-boom'

  interface RollingOptions extends Omit<SonicBoomOpts, 'dest'> {
    readonly file: string
    readonly extension?: string
    /** Such as `5m`. */
    readonly size?: string
    readonly limit?: { readonly count: number; readonly removeOtherLogFiles?: boolean }
  }

  export default function openRolling(options: RollingOptions): Promise<SonicBoom>
}
