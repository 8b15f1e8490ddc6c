/** “12.50 €”; the amount alone where nobody said what is paid with. */
export function sayMoney(amount: number, currency: string): string {
  const said = amount.toFixed(2)
  return currency.trim() === '' ? said : `${said}\u00a0${currency.trim()}`
}
