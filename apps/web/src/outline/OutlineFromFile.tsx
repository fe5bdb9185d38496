import { InputError } from '@lean-clasp/core/basics';
import { type Answers, layAssembly } from '@lean-clasp/core/kinds';
import { LIVE_STATIONS } from '@lean-clasp/core/outline';
import type { Format } from '@lean-clasp/words';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { answer } from '../assembly/edits';
import { FileButton } from '../parts/FileButton';
import { useFormat } from '../quantities/use-format';
import { useOwnWoods } from '../shop/own';
import { useOpenBuild } from '../workspace/open-build';

/** What a kind takes out of a drawing. */
interface Drawn {
  readonly label: string;
  readonly about: string;
  /** The answers that a drawing gives, and what to say of them. @throws InputError for one that gives none. */
  readonly read: (text: string, f: Format) => Promise<{ readonly answers: Answers; readonly said: string }>;
}

/** What is read in only when somebody opens a drawing. */
const reader = () => import('./read-outline');

const DRAWN: Readonly<Record<string, Drawn>> = {
  'round-panel': {
    label: 'Outline from a drawing (SVG, DXF)',
    about: `The longer side is the length; both live edges are taken at ${LIVE_STATIONS} places along it.`,
    read: async (text, f) => {
      const { lengthMm, widthMm, nearMm, farMm } = (await reader()).readOutline(text);
      return {
        answers: { outline: 'live-edge', lengthMm, widthMm, nearMm, farMm },
        said: `Outline taken: ${f.length(lengthMm)} by ${f.length(widthMm)}.`,
      };
    },
  },
  'mitred-frame': {
    label: 'Outline from a drawing (SVG, DXF)',
    about:
      'Its straight sides become the members that a band goes round, the lowest first; the outline is the outside.',
    read: async (text, f) => {
      const { sidesMm, anglesDeg } = (await reader()).readMitres(text);
      const round = sidesMm.reduce((sum, side) => sum + side, 0);
      return {
        answers: { sidesMm, anglesDeg, chain: 'closed' },
        said: `Outline taken: ${sidesMm.length} sides, ${f.length(round)} round.`,
      };
    },
  },
  'bent-lamination': {
    label: 'Curve from a drawing (SVG, DXF)',
    about:
      'The longest line of the drawing, as the curve that is wanted; the form is made tighter by the springback.',
    read: async (text, f) => {
      const { radiusMm, arcDeg } = (await reader()).readBend(text);
      return {
        answers: { radiusMm, arcDeg },
        said: `Curve taken: radius ${f.length(radiusMm)}, ${arcDeg.toFixed(1)}°.`,
      };
    },
  },
};

/** Part of a kind's shape out of a drawing; what cannot be read or glued up changes nothing. */
export function OutlineFromFile() {
  const { build, edit } = useOpenBuild();
  const woods = useOwnWoods();
  const f = useFormat();
  const [said, setSaid] = useState<{ readonly text: string; readonly good: boolean } | null>(null);
  const drawn = DRAWN[build.template];
  if (drawn === undefined) return null;
  const take = async (text: string) => {
    try {
      const read = await drawn.read(text, f);
      const change = answer({ ...build.answers, ...read.answers });
      layAssembly(change(build), build.mcInUse.lowPct, woods);
      edit(drawn.label.replace(/ \(.*$/, ''), change);
      setSaid({ text: read.said, good: true });
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      setSaid({ text: `${error.message} Possible: ${error.allowed}.`, good: false });
    }
  };
  return (
    <Box sx={{ mt: 1 }}>
      <FileButton
        label={drawn.label}
        accept=".svg,.dxf,image/svg+xml"
        like="a drawing as SVG or DXF"
        onText={(text) => void take(text)}
        onFault={(text) => setSaid({ text, good: false })}
      />
      <Typography variant="body2" color="text.secondary">
        {drawn.about}
      </Typography>
      {said !== null && (
        <Alert severity={said.good ? 'success' : 'error'} variant="outlined" sx={{ mt: 1 }}>
          {said.text}
        </Alert>
      )}
    </Box>
  );
}
