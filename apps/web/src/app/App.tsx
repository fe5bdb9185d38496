import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { useMemo } from 'react';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { useReleaseNotices } from '../bench/use-release-notices';
import type { AppRouter } from './router';
import { type AppStore, useAppSelector } from './store';
import { themeFor } from './theme';

interface AppProps {
  readonly store: AppStore;
  readonly router: AppRouter;
}

/** The whole app around its store and its addresses. */
export function App({ store, router }: AppProps) {
  return (
    <Provider store={store}>
      <Themed router={router} />
    </Provider>
  );
}

function Themed({ router }: Pick<AppProps, 'router'>) {
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
