import type { Page } from 'puppeteer-core'

/** Everything takes so many milliseconds longer from now on. */
export async function slowDown(page: Page, latency: number): Promise<void> {
  const session = await page.createCDPSession()
  await session.send('Network.enable')
  await session.send('Network.emulateNetworkConditions', {
    offline: false,
    latency,
    downloadThroughput: -1,
    uploadThroughput: -1,
  })
}
