import TextField from '@mui/material/TextField';

const MOST_NAME = 120;
const MOST_PROJECT = 200;
const LABELLED = { inputLabel: { shrink: true } } as const;

/** Whether a build has a name by which it is found again. */
export const isNamed = (name: string): boolean => name.trim() !== '';

/** What a new build is called, and what it belongs to. */
export function NameFields({
  name,
  project,
  width,
  onChange,
}: {
  readonly name: string;
  readonly project: string;
  /** Width of the project's field, px. */
  readonly width: number;
  readonly onChange: (change: { readonly name?: string; readonly project?: string }) => void;
}) {
  return (
    <>
      <TextField
        label="Name"
        size="small"
        value={name}
        error={!isNamed(name)}
        helperText={isNamed(name) ? undefined : 'Give it a name, so that you find it again.'}
        onChange={(event) => onChange({ name: event.target.value.slice(0, MOST_NAME) })}
        sx={{ width: 250 }}
        slotProps={LABELLED}
      />
      <TextField
        label="Belongs to"
        size="small"
        value={project}
        onChange={(event) => onChange({ project: event.target.value.slice(0, MOST_PROJECT) })}
        sx={{ width }}
        slotProps={LABELLED}
      />
    </>
  );
}
