import Alert from '@mui/material/Alert';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useMayChange } from '../access/session';
import { useReadBuildMutation } from '../api/api';
import { FileButton } from '../parts/FileButton';
import { readJson } from '../parts/read-json';
import { createFailure } from './create-failure';

/** A build as it was saved under Paper and files, here or in another shop, as one more. */
export function ReadBuild() {
  const [read] = useReadBuildMutation();
  const [fault, setFault] = useState<string | null>(null);
  const navigate = useNavigate();
  if (!useMayChange()) return null;
  const take = async (text: string) => {
    const body = readJson(text);
    if (body === undefined) {
      setFault('The file is no JSON. Save a build under Paper and files and open that.');
      return;
    }
    setFault(null);
    try {
      const { id } = await read(body).unwrap();
      void navigate(`/builds/${id}/fit`);
    } catch (error) {
      setFault(createFailure(error));
    }
  };
  return (
    <>
      <FileButton
        label="Read in a build"
        accept=".json,application/json"
        like="a build as JSON"
        onText={(text) => void take(text)}
        onFault={setFault}
      />
      {fault !== null && (
        <Alert severity="error" variant="outlined" sx={{ flexBasis: '100%' }}>
          {fault}
        </Alert>
      )}
    </>
  );
}
