import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { useMemo } from 'react';
import { Provider } from 'react-redux';
import { RouterProvider } from 'react-router/dom';
import { router } from './router';
import { type makeStore, useAppSelector } from './store';
import { themeFor } from './theme';

/** The whole app around its store. */
export function App({ store }: { readonly store: ReturnType<typeof makeStore> }) {
  return (
    <Provider store={store}>
      <Themed />
    </Provider>
  );
}

function Themed() {
  const mode = useAppSelector((state) => state.preferences.theme);
  const theme = useMemo(() => themeFor(mode), [mode]);
  return (
    <ThemeProvider theme={theme}>
      <CssBaseline enableColorScheme />
      <RouterProvider router={router} />
    </ThemeProvider>
  );
}
