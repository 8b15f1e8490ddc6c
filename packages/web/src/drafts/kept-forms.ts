import { dropKept, listKept, putKept } from './kept-store'
import { windowName } from './window-name'

/** What was typed into a form of this window and not sent yet, as far as this device keeps it. */
export async function findKeptForm<Form>(name: string): Promise<Form | undefined> {
  try {
    const own = await windowName()
    const record = (await listKept(`form/${name}`)).find(({ window }) => window === own)
    return record?.value as Form | undefined
  } catch {
    return undefined
  }
}

export async function keepForm(name: string, value: object): Promise<void> {
  try {
    await putKept({ of: `form/${name}`, window: await windowName(), at: Date.now(), value })
  } catch {
    // The form works all the same; that nothing is kept is said at the head of the page.
  }
}

export async function dropKeptForm(name: string): Promise<void> {
  try {
    await dropKept(`form/${name}`, await windowName())
  } catch {
    // Nothing was kept.
  }
}
