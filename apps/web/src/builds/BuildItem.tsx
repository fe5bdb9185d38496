import { KIND_WORDS, kindWords } from '@lean-clasp/words';
import DeleteIcon from '@mui/icons-material/DeleteOutlined';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Link from '@mui/material/Link';
import { useDeferredValue } from 'react';
import { Link as RouterLink } from 'react-router';
import { type BuildLine, useBuildQuery } from '../api/api';
import { BuildPicture, NoPicture } from './BuildPicture';

/** One build of the list: its picture once it is here, what it is, and the way to it. */
export function BuildItem({
  build,
  onRemove,
}: {
  readonly build: BuildLine;
  readonly onRemove: (() => void) | null;
}) {
  const { id, revision, name, project, template } = build;
  const { data: found } = useBuildQuery({ id, revision });
  // Pictures are drawn one after the other, and give way to whatever else is to be done.
  const data = useDeferredValue(found);
  return (
    <Box role="listitem" sx={{ borderTop: 2, borderColor: 'text.primary', pt: 1, minWidth: 0 }}>
      <Link component={RouterLink} to={`/builds/${id}/fit`} underline="hover" sx={{ display: 'block' }}>
        {data === undefined ? <NoPicture /> : <BuildPicture build={data.body} />}
        <Box component="span" sx={{ fontWeight: 700, fontSize: '1.125rem', overflowWrap: 'anywhere' }}>
          {name}
        </Box>
      </Link>
      <Box sx={{ display: 'flex', alignItems: 'center' }}>
        <Box sx={{ flex: 1, color: 'text.secondary', fontSize: '0.9375rem' }}>
          {project === '' ? '' : `${project} · `}
          {data === undefined ? (KIND_WORDS[template]?.name ?? template) : kindWords(data.body)}
        </Box>
        {onRemove !== null && (
          <IconButton aria-label={`Remove ${name}`} onClick={onRemove}>
            <DeleteIcon />
          </IconButton>
        )}
      </Box>
    </Box>
  );
}
