import pg from 'pg'

/**
 * A connection that hears of its own end at any time. Between its opening and the moment when the pool begins to
 * listen, a connection that is killed would otherwise take the whole server with it.
 */
class ListeningClient extends pg.Client {
  constructor(config?: string | pg.ClientConfig) {
    super(config)
    this.on('error', () => undefined)
  }
}

/** The driver as Sequelize wants it. */
export const driver = { ...pg, Client: ListeningClient }
