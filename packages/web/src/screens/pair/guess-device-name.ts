/** What a device is likely to be called, by what its browser says of itself. */
export function guessDeviceName(userAgent: string): string {
  if (/iPad|Tablet|Android(?!.*Mobile)/i.test(userAgent)) return 'Tablet'
  if (/iPhone|Mobile/i.test(userAgent)) return 'Phone'
  return 'Computer'
}
