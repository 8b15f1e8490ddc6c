import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { coverJsonSchema } from '../packages/core/src/file/json-schema.js'

const place = join(import.meta.dirname, '../docs/cover-file.schema.json')
writeFileSync(place, JSON.stringify(coverJsonSchema(), null, 2) + '\n')
