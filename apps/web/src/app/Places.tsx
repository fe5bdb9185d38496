import { createElement, Suspense, useEffect } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { useStore } from 'react-redux';
import { Navigate, Route, Routes, useLocation, useParams } from 'react-router';
import { AccessGate } from '../access/AccessGate';
import { Frame } from '../frame/Frame';
import { Loading } from '../frame/Loading';
import { PageFault } from '../frame/PageFault';
import { BENCH, BUILD_STEP, SCREENS, type ScreenPath } from '../start/screens';
import { leaveBuild, pageAt } from './pages';
import type { AppStore } from './store';

const FRAMED = (Object.keys(SCREENS) as ScreenPath[]).filter((path) => path !== BENCH);

/** Every address of the app. All of it lies in one boundary: while a screen is read in, the one before it stays as it is. */
export function Places() {
  return (
    <ErrorBoundary FallbackComponent={PageFault}>
      <Suspense fallback={<Loading />}>
        <Routes>
          <Route element={<AccessGate />}>
            <Route element={<Frame />}>
              {FRAMED.map((path) => (
                <Route key={path} path={path} element={<PlaceAt path={path} />} />
              ))}
              <Route path="/builds/:buildId" element={<Navigate to="fit" replace />} />
            </Route>
            <Route path={BENCH} element={<PlaceAt path={BENCH} />} />
          </Route>
        </Routes>
      </Suspense>
    </ErrorBoundary>
  );
}

/** The screen of one address, read in when it is first visited. */
function PlaceAt({ path }: { readonly path: ScreenPath }) {
  const { pathname } = useLocation();
  // Looked up, and the same one for as long as it is on show.
  const page = pageAt(path, useParams(), useStore() as AppStore);
  useEffect(() => {
    if (path !== BUILD_STEP) leaveBuild();
  }, [path]);
  return (
    <ErrorBoundary FallbackComponent={PageFault} resetKeys={[pathname]}>
      {createElement(page)}
    </ErrorBoundary>
  );
}
