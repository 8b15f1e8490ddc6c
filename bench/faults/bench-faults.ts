import { benchConnections } from './many-connections.js'
import { benchFuzz } from './fuzz.js'
import { benchKills } from './kills.js'
import { openServer } from './own-server.js'

const [kills = '50', requests = '20000', seconds = '60'] = process.argv.slice(2)

const server = await openServer()
try {
  if (Number(kills) > 0) await benchKills(server, Number(kills))
  await server.settled()
  await benchFuzz(server, Number(requests))
  await benchConnections(server, Number(seconds))
} finally {
  await server.remove()
}
