import { useSettingsQuery } from '../api/api'
import { sayMoney } from './money'

/** Says an amount in what the workshop pays with. */
export function usePay(): (amount: number) => string {
  const { data } = useSettingsQuery()
  return amount => sayMoney(amount, data?.currency ?? '')
}
