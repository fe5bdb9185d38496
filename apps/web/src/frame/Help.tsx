import HelpIcon from '@mui/icons-material/HelpCenterOutlined';
import { Suspense, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { readIn } from '../parts/read-in';
import { RailButton } from './RailButton';

/** Read in only when somebody asks. */
const HelpDialog = readIn(() => import('./HelpDialog').then((m) => m.HelpDialog));

/** What helps: the way round, terms, and keys; also called by `?`. */
export function Help() {
  const [asked, setAsked] = useState(false);
  const [open, setOpen] = useState(false);
  const ask = () => {
    setAsked(true);
    setOpen(true);
  };
  useHotkeys('shift+slash, ?', ask, { useKey: true });
  return (
    <>
      <RailButton label="Help: the way round, terms, keys" onClick={ask}>
        <HelpIcon />
        Help
      </RailButton>
      {asked && (
        <Suspense>
          <HelpDialog open={open} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
