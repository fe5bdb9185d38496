import type { PaperAsk } from '@lean-clasp/paper';
import { useState } from 'react';
import { useNetworkQuery } from '../api/api';
import { ApiError, requestFile } from '../api/request';
import { useAppSelector } from '../app/store';
import { pngOf } from './png-of';
import { saveFile, slug } from '../parts/save-file';
import { useOpenBuild } from '../workspace/open-build';
import { whenNow } from '../lessons/when-now';

/** What a file is asked with, less what every one has. */
type Wanted = Pick<PaperAsk, 'what' | 'format' | 'paper'> & Partial<Pick<PaperAsk, 'item' | 'session'>>;

const GONE = 'The server that makes these files cannot be reached. Everything on the screen still works.';

/** Has the server make files of the build on show, and hands them to the browser. */
export function usePaperFile() {
  const { id, build, shop } = useOpenBuild();
  const units = useAppSelector((state) => state.preferences.units);
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const address = useTabletAddress();
  const make = async (wanted: Wanted, as: 'file' | 'picture' = 'file') => {
    setBusy(true);
    setFault(null);
    const ask: PaperAsk = {
      units,
      session: null,
      link: `${address}/builds/${id}/glue-up`,
      ...whenNow(shop, Date.now()),
      ...wanted,
    };
    try {
      const file = await requestFile('/api/paper', { method: 'POST', body: { ask, plan: { build, shop } } });
      const name = slug([build.name, nameOf(wanted)].join(' '));
      if (as === 'picture') saveFile(`${name}.png`, await pngOf(file));
      else saveFile(`${name}.${wanted.format}`, file);
    } catch (error) {
      setFault(error instanceof ApiError ? error.message : GONE);
    } finally {
      setBusy(false);
    }
  };
  return { make, busy, fault };
}

const nameOf = ({ what, item, session }: Wanted): string =>
  [item ?? what, ...(session == null ? [] : [session + 1])].join(' ');

/** The address under which another device reaches this server; this page's own where it is on no network. */
function useTabletAddress(): string {
  const { data } = useNetworkQuery();
  return data?.addresses[0] ?? location.origin;
}
