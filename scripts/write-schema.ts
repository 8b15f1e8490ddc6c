import { writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { format, resolveConfig } from 'prettier'
import { layoutRequestJsonSchema } from '../packages/core/src/file/layout-request.js'
import { coverJsonSchema } from '../packages/core/src/file/json-schema.js'

const docs = join(import.meta.dirname, '../docs')

/** Written as `npm run format` would leave it. */
async function write(name: string, schema: object): Promise<void> {
  const path = join(docs, name)
  const style = await resolveConfig(path)
  await writeFile(path, await format(JSON.stringify(schema), { ...style, filepath: path }))
}

await write('cover-file.schema.json', coverJsonSchema())
await write('layout-request.schema.json', layoutRequestJsonSchema())
