import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { Provider } from 'react-redux'
import { RouterProvider } from 'react-router'
import { keepForOffline } from './app/keep-for-offline'
import { router } from './app/router'
import { store } from './app/store'
import { applyTheme } from './app/theme'
import './styles/app.css'

applyTheme()
const root = document.getElementById('root')
if (!root) throw new Error('The page has no root element')
createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>
  </StrictMode>,
)
keepForOffline()
