import { useHereQuery } from '../../api/api'
import { useDevicesQuery } from '../../api/devices-api'

/** Where others reach the server: another address than this page's, where it is shared; else this machine alone does. */
export function useOutsideAddress(): { readonly address: string; readonly isReached: boolean } {
  const { data: here } = useHereQuery()
  const isAtTheMachine = here?.device === null
  const { data } = useDevicesQuery(undefined, { skip: !isAtTheMachine })
  const shared = data?.sharing.addresses[0]
  return { address: shared ?? location.origin, isReached: !isAtTheMachine || shared !== undefined }
}
