import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { useMemo } from 'react';
import { Provider } from 'react-redux';
import { BrowserRouter } from 'react-router';
import { useReleaseNotices } from '../bench/use-release-notices';
import { Places } from './Places';
import { type AppStore, useAppSelector } from './store';
import { themeFor } from './theme';

/** The whole app around its store. */
export function App({ store }: { readonly store: AppStore }) {
  return (
    <Provider store={store}>
      <Themed />
    </Provider>
  );
}

function Themed() {
  const mode = useAppSelector((state) => state.preferences.theme);
  useReleaseNotices();
  const theme = useMemo(() => themeFor(mode), [mode]);
  return (
    <ThemeProvider theme={theme}>
      <CssBaseline enableColorScheme />
      <BrowserRouter>
        <Places />
      </BrowserRouter>
    </ThemeProvider>
  );
}
