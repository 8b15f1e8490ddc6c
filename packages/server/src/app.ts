import { Hono, type HonoRequest } from 'hono'
import { bodyLimit } from 'hono/body-limit'
import { except } from 'hono/combine'
import { requestId } from 'hono/request-id'
import {
  readCoverBody,
  readCuttingBody,
  readMaterialBody,
  readMakeBody,
  readMakingBody,
  readMarkBody,
  readRuleBody,
  readThingBody,
} from '@snowdrift/core'
import type { Repositories } from './db/repositories/repositories.js'
import type { FabricShop } from './devices/shop/shop.js'
import type { ErrandQueue } from './errands/errand-queue.js'
import type { ExportWriter } from './exports/export-writer.js'
import { mostBodyBytes } from './http/body.js'
import { guard, nameCaller, type Door } from './http/guard.js'
import { letIn } from './http/let-in.js'
import { belonging } from './http/members.js'
import type { PairingTries } from './http/tries.js'
import type { ShareListener } from './reach/share-listener.js'
import { databaseTrouble, isNameTaken, isUnknownReference } from './http/database-errors.js'
import { deadline, isLate } from './http/deadline.js'
import { answeredOf, type Answered } from './http/answered.js'
import { nameRequest } from './http/name-request.js'
import { keptPaths, offerToKeep } from './http/offer-to-keep.js'
import { answerProblem } from './http/problems.js'
import { securityHeaders } from './http/security-headers.js'
import type { Log } from './log.js'
import { createAccountRoutes } from './routes/account-routes.js'
import { createArchiveRoutes } from './routes/archive-routes.js'
import { createStashCsvRoutes, createThingsCsvRoutes } from './routes/csv-routes.js'
import { createDeviceRoutes } from './routes/device-routes.js'
import { createEnterRoutes } from './routes/enter-routes.js'
import { createErrandRoutes } from './routes/errand-routes.js'
import { createExportRoutes } from './routes/export-routes.js'
import { createHereRoutes } from './routes/here-routes.js'
import { createLiveRoutes, type LiveOptions } from './routes/live-routes.js'
import { createMakePhotoRoutes } from './routes/make-photo-routes.js'
import { createShelfRoutes } from './routes/shelf-routes.js'
import { createPeopleRoutes } from './routes/people-routes.js'
import { createPairRoutes } from './routes/pair-routes.js'
import { createProgressRoutes } from './routes/progress-routes.js'
import { createRowRoutes } from './routes/row-routes.js'
import { createShareRoutes } from './routes/share-routes.js'
import { createSharedRoutes } from './routes/shared-routes.js'
import { createShopRoutes } from './routes/shop-routes.js'
import { createMaterialRoutes } from './routes/material-routes.js'
import { createStashRoutes } from './routes/stash-routes.js'
import { KeeperAway } from './keeper/passphrases-apart.js'
import { TooManyWait } from './people/passphrases.js'
import type { Accounts } from './people/open-accounts.js'
import type { PictureShrinker } from './pictures/shrinker.js'
import { createSettingsRoutes } from './routes/settings-routes.js'
import type { PersonEnv, WorkshopEnv } from './routes/workshop.js'
import { serveWeb } from './routes/web.js'

export interface AppDependencies {
  readonly repositories: Repositories
  /** The same as they were a moment ago, for reads to which that does no harm; where there is no replica, as they are. */
  readonly aged?: Repositories
  /** Whose the requests are that come from this machine itself. */
  readonly workshopOf: (request: HonoRequest) => string
  /** Where its requests come in. */
  readonly door: Door
  readonly sharing: ShareListener
  readonly pairingTries: PairingTries
  /** How people sign in, where they do. */
  readonly accounts?: Accounts
  readonly live: LiveOptions
  /** Hears of every request that may have written something, once it has. */
  readonly wrote?: () => void
  /** Where cloth is bought. */
  readonly shop: FabricShop
  readonly shrinker: PictureShrinker
  /** Writes for paper and machines. */
  readonly write: ExportWriter
  /** Has heavy work done. */
  readonly queue: ErrandQueue
  /** Throws where the database does not answer. */
  readonly ping: () => Promise<void>
  readonly log: Log
  readonly now: () => Date
  /** Hears of every request once it is answered. */
  readonly observe?: (answered: Answered) => void
  /** The folder of the built web application; none serves the API alone. */
  readonly webFolder?: string
}

/** What somebody sends who measures a thing. */
const mostSharedBytes = 16 * 1024

/** The whole server as a function of its dependencies. */
export function createApp(dependencies: AppDependencies): Hono {
  const { repositories, workshopOf, door, sharing, pairingTries, accounts, live, wrote } = dependencies
  const { shop, shrinker, write, queue, ping, log, now, observe, webFolder } = dependencies
  const { aged = repositories } = dependencies
  const api = new Hono<WorkshopEnv>()
    // An archive takes as long as it is long, and says how far it is; who looks on, looks on.
    .use(except(['/api/archive', '/api/live'], deadline))
    // Whether it is alive; whether it can answer is another question: away from its database it need not be started anew.
    .get('/health', context => context.json({ status: 'ok' }))
    .get('/ready', async context => {
      await ping()
      return context.json({ status: 'ok' })
    })
    // What strangers send is short.
    .on(
      ['GET', 'POST'],
      ['/shared/*', '/pair', '/enter/*', '/enter'],
      bodyLimit({
        maxSize: mostSharedBytes,
        onError: context => answerProblem(context, { kind: 'too-large', limit: '16 kB' }),
      }),
    )
    .use(async (context, next) => {
      context.set('repositories', repositories)
      context.set('aged', aged)
      context.header('Cache-Control', 'no-store')
      await next()
    })
    // Whoever has a link belongs to no workshop.
    .route('/shared', createSharedRoutes(write, now))
    .route('/pair', accounts ? new Hono<WorkshopEnv>() : createPairRoutes(pairingTries))
    .route('/enter', accounts ? createEnterRoutes({ ...accounts, log }) : new Hono<WorkshopEnv>())
    .use(letIn(door, workshopOf))
    .route('/here', createHereRoutes())
    .route('/account', accounts ? createAccountRoutes({ ...accounts, now }) : new Hono<PersonEnv>())
    .use(belonging)
    .route('/people', accounts ? createPeopleRoutes(accounts) : new Hono<PersonEnv>())
    .on('GET', keptPaths, offerToKeep)
    .route('/live', createLiveRoutes(live))
    // Archives, pictures and tables bound their own bodies.
    .route('/archive', createArchiveRoutes({ log, queue }))
    .route('/materials', createMaterialRoutes(shrinker))
    .route('/makes', createMakePhotoRoutes(shrinker))
    .route('/stash.csv', createStashCsvRoutes())
    .route('/things.csv', createThingsCsvRoutes())
    .on(
      ['POST', 'PUT'],
      '/*',
      // Only where there is a body: asking a request for one makes it a great deal dearer.
      bodyLimit({
        maxSize: mostBodyBytes,
        onError: context => answerProblem(context, { kind: 'too-large', limit: '256 kB' }),
      }),
    )
    .route('/things', createRowRoutes({ what: 'thing', rows: ({ things }) => things, read: readThingBody }))
    .route('/covers', createRowRoutes({ what: 'cover', rows: ({ covers }) => covers, read: readCoverBody }))
    .route(
      '/materials',
      createRowRoutes({ what: 'material', rows: ({ materials }) => materials, read: readMaterialBody }),
    )
    .route(
      '/cuttings',
      createRowRoutes({ what: 'cutting', rows: ({ cuttings }) => cuttings, read: readCuttingBody }),
    )
    .route('/rules', createRowRoutes({ what: 'rule', rows: ({ rules }) => rules, read: readRuleBody }))
    .route(
      '/makings',
      createRowRoutes({ what: 'making', rows: ({ makings }) => makings, read: readMakingBody }),
    )
    .route('/makes', createRowRoutes({ what: 'make', rows: ({ makes }) => makes, read: readMakeBody }))
    .route('/marks', createRowRoutes({ what: 'mark', rows: ({ marks }) => marks, read: readMarkBody }))
    .route('/shelf', createShelfRoutes())
    .route('/progress', createProgressRoutes())
    .route('/stash', createStashRoutes())
    .route('/shop', createShopRoutes(shop))
    .route('/exports', createExportRoutes(write))
    .route('/errands', createErrandRoutes(queue))
    .route('/shares', createShareRoutes())
    .route('/settings', createSettingsRoutes())
    .route('/devices', createDeviceRoutes(sharing))
    .all('/*', context => answerProblem(context, { kind: 'missing', what: 'such address' }))

  const app = new Hono()
  app.use(requestId({ limitLength: 64 }))
  app.use(async (context, next) => {
    const began = now().getTime()
    await next()
    const milliseconds = now().getTime() - began
    log.info({ ...nameRequest(context), status: context.res.status, milliseconds }, 'answered')
    observe?.(answeredOf(context, milliseconds))
    if (context.req.method !== 'GET' && context.res.ok) wrote?.()
  })
  app.use(nameCaller(door))
  app.use(securityHeaders(door))
  app.use(guard(door))
  app.route('/api', api)
  if (webFolder !== undefined) serveWeb(app, webFolder)
  app.onError((error, context) => {
    if (isUnknownReference(error))
      return answerProblem(context, {
        kind: 'unreadable',
        issues: [{ path: 'thingId', message: 'There is no such thing on the shelf.' }],
      })
    if (error instanceof TooManyWait)
      return answerProblem(context, {
        kind: 'busy',
        detail: 'Very many sign in just now. Try again in a moment.',
      })
    if (error instanceof KeeperAway) {
      log.error({ ...nameRequest(context), error: error.message }, 'nobody holds the secrets of passphrases')
      return answerProblem(context, {
        kind: 'busy',
        detail: 'No passphrase can be looked at just now. Take a passkey, or try again in a moment.',
      })
    }
    if (isNameTaken(error))
      return answerProblem(context, {
        kind: 'unreadable',
        issues: [
          {
            path: 'name',
            message:
              'There is a rule of that name for this way of making already. Give this one another, such as the same with a 2 behind it.',
          },
        ],
      })
    const trouble = isLate(error) ? 'away' : databaseTrouble(error)
    log.error({ ...nameRequest(context), trouble, error: error.message, stack: error.stack }, 'failed')
    if (trouble === 'away')
      return answerProblem(context, { kind: 'down', wrote: context.req.method !== 'GET' })
    return answerProblem(context, { kind: trouble ?? 'bug' })
  })
  return app
}
