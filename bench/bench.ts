import { benchArchive } from './archive.js'
import { benchBrowser } from './browser.js'
import { benchChance } from './chance.js'
import { benchCommandLine } from './command-line.js'
import { benchFamilies } from './families.js'
import { benchFolded } from './folded.js'
import { benchLog } from './log.js'
import { benchPaper } from './paper.js'
import { benchPlan } from './plan.js'
import { benchServer } from './server.js'
import { benchUsers } from './users.js'

console.log('what'.padEnd(62), '     came       must be')
benchPlan()
benchFamilies()
benchChance()
await benchPaper()
await benchCommandLine()
await benchServer()
await benchUsers()
await benchArchive()
await benchBrowser()
await benchFolded()
await benchLog()
