import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { layoutRequestJsonSchema } from '../packages/core/src/file/layout-request.js'
import { coverJsonSchema } from '../packages/core/src/file/json-schema.js'

const docs = join(import.meta.dirname, '../docs')
const write = (name: string, schema: object) =>
  writeFileSync(join(docs, name), JSON.stringify(schema, null, 2) + '\n')

write('cover-file.schema.json', coverJsonSchema())
write('layout-request.schema.json', layoutRequestJsonSchema())
