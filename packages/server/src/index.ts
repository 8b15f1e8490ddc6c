export { startCluster, type Cluster } from './cluster/cluster.js'
export { createApp } from './app.js'
export { serve, type Server } from './serve.js'
