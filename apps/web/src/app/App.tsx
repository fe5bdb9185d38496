import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { useMemo, useState } from 'react';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { useReleaseNotices } from '../bench/use-release-notices';
import { makeRouter } from './router';
import { type AppStore, useAppSelector } from './store';
import { themeFor } from './theme';

/** The whole app around its store. */
export function App({ store }: { readonly store: AppStore }) {
  const [router] = useState(() => makeRouter(store));
  return (
    <Provider store={store}>
      <Themed router={router} />
    </Provider>
  );
}

function Themed({ router }: { readonly router: ReturnType<typeof makeRouter> }) {
  const mode = useAppSelector((state) => state.preferences.theme);
  useReleaseNotices();
  const theme = useMemo(() => themeFor(mode), [mode]);
  return (
    <ThemeProvider theme={theme}>
      <CssBaseline enableColorScheme />
      <RouterProvider router={router} />
    </ThemeProvider>
  );
}
