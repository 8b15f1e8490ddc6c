export { startCluster, type Cluster } from './cluster/cluster.js'
export { findFreePort } from './cluster/free-port.js'
export { createApp } from './app.js'
export { serve, type Server } from './serve.js'
