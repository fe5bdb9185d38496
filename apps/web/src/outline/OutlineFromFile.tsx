import { InputError } from '@lean-clasp/core/basics';
import { LIVE_STATIONS } from '@lean-clasp/core/outline';
import { layAssembly } from '@lean-clasp/core/kinds';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { answer } from '../assembly/edits';
import { useFormat } from '../quantities/use-format';
import { useOwnWoods } from '../shop/own';
import { FileButton } from '../parts/FileButton';
import { useOpenBuild } from '../workspace/open-build';

/** A slab's live edges out of a drawing of its outline; what cannot be read or glued up changes nothing. */
export function OutlineFromFile() {
  const { build, edit } = useOpenBuild();
  const woods = useOwnWoods();
  const f = useFormat();
  const [said, setSaid] = useState<{ readonly text: string; readonly good: boolean } | null>(null);
  const take = async (text: string) => {
    try {
      const { readOutline } = await import('./read-outline');
      const read = readOutline(text);
      const { lengthMm, widthMm } = read;
      const answers = {
        ...build.answers,
        ...read,
        outline: 'live-edge',
        nearMm: [...read.nearMm],
        farMm: [...read.farMm],
      };
      layAssembly({ ...build, answers }, build.mcInUse.lowPct, woods);
      edit('Outline from a drawing', answer(answers));
      setSaid({ text: `Outline taken: ${f.length(lengthMm)} by ${f.length(widthMm)}.`, good: true });
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      setSaid({ text: `${error.message} Possible: ${error.allowed}.`, good: false });
    }
  };
  return (
    <Box sx={{ mt: 1 }}>
      <FileButton
        label="Outline from a drawing (SVG, DXF)"
        accept=".svg,.dxf,image/svg+xml"
        like="a drawing as SVG or DXF"
        onText={(text) => void take(text)}
        onFault={(text) => setSaid({ text, good: false })}
      />
      <Typography variant="body2" color="text.secondary">
        The longer side is the length; both live edges are taken at {LIVE_STATIONS} places along it.
      </Typography>
      {said !== null && (
        <Alert severity={said.good ? 'success' : 'error'} variant="outlined" sx={{ mt: 1 }}>
          {said.text}
        </Alert>
      )}
    </Box>
  );
}
